import { type Lab, labOfSpectrum, rgbOfLab } from '../colour/index.ts';
import { type Ground, seen } from '../laydown/index.ts';

/**
 * Pigment thins out over this many of 256 grain steps on each side of the edge of a speck: it lies thick on the hills of
 * the paper and thinner towards its valleys, as it is seen on toothed paper under a glass.
 */
const SOFT = 84;

/** A ground as it is painted: pigment where the grain stands up, paper in the valleys. All colours sRGB 0..255. */
export interface Shade {
  covered: readonly number[];
  /** Grain values below this (0..256) show paper. */
  specks: number;
}

/**
 * How to paint a ground so that its mean is exactly the colour the layer model says is seen: the pigment's own colour
 * is solved from the mean and the share of specks (clipped where a screen cannot show it).
 */
export function shadeOf(ground: Ground, paper: readonly number[]): Shade {
  const lab = labOfSpectrum(seen(ground));
  return { covered: pigment(lab, ground.specks, paper), specks: 256 * ground.specks };
}

function pigment(lab: Lab, specks: number, paper: readonly number[]): number[] {
  const share = Math.max(0.08, 1 - specks);
  return rgbOfLab(lab).map((mean, i) => Math.min(255, Math.max(0, (mean - (1 - share) * paper[i]) / share)));
}

/**
 * How much pigment a grain value shows, 0 (paper) to 1 (pigment). Over all grain values, which are equally common, the
 * mean is exactly the share that is covered.
 * @param grain 0..256
 * @param specks share of bare paper, in 256ths
 */
export function pigmentShare(grain: number, specks: number): number {
  return Math.min(1, Math.max(0, (grain - edgeOf(specks) + SOFT) / (2 * SOFT)));
}

/** The grain value in the middle of the thinning: where that reaches past the end of the grain, it is moved to keep the mean. */
function edgeOf(specks: number): number {
  if (specks < SOFT) return 2 * Math.sqrt(specks * SOFT) - SOFT;
  if (256 - specks < SOFT) return 256 + SOFT - 2 * Math.sqrt((256 - specks) * SOFT);
  return specks;
}
