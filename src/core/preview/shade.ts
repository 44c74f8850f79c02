import { type Lab, labOfSpectrum, rgbOfLab } from '../colour/index.ts';
import { type Ground, seen } from '../laydown/index.ts';

/** Specks are told from covered paper over this many of 256 grain steps on each side, as graphite smears at the edge. */
const SOFT = 20;

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

/** How much pigment a grain value shows at a threshold of specks, 0 (paper) to 1 (pigment). */
export function pigmentShare(grain: number, specks: number): number {
  return Math.min(1, Math.max(0, (grain - specks + SOFT) / (2 * SOFT)));
}
