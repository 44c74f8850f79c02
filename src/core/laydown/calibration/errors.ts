import { type Lab } from '../../colour/index.ts';

/**
 * Differences in L*, a* and b* as they count in a fit; those of chroma count less where there is much of it, as the eye
 * has it.
 */
export function errors(model: Lab, read: Lab, weight: number): number[] {
  const chroma = weight / (1 + 0.03 * Math.hypot(read[1], read[2]));
  return [weight * (model[0] - read[0]), chroma * (model[1] - read[1]), chroma * (model[2] - read[2])];
}
