import { type Lab, deltaE2000 } from '../colour/index.ts';

/** Two palettes whose things lie so far apart on average by area (CIEDE2000) look clearly different. */
const CLEARLY = 18;

/** How far two palettes of the same page are apart: the mean CIEDE2000 of its things, by share of the area. */
export function paletteDifference(one: readonly Lab[], other: readonly Lab[], share: ArrayLike<number>): number {
  return one.reduce((sum, lab, i) => sum + share[i]! * deltaE2000(lab, other[i]!), 0);
}

/** Whether that is clearly different. */
export function isClearlyDifferent(apart: number): boolean {
  return apart >= CLEARLY;
}
