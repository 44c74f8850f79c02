/** What a pencil's colours on a paper rest on, the surest first. */
export const BELIEFS = ['fitted', 'carried', 'read once', 'like its kind', 'declared'] as const;
export type BeliefGround = (typeof BELIEFS)[number];

/** What a colour rests on, and how far off it may be. */
export interface Belief {
  /**
   * Fitted to swatches on this paper; carried over from swatches on another; one reading of its colour; declared, but
   * laid as fitted pencils of its type are; or declared alone.
   */
  ground: BeliefGround;
  /** How far what comes out usually lies from what is foretold, CIEDE2000. */
  apart: number;
}

/**
 * How far off predictions usually are by what they rest on, CIEDE2000: the middle over single passes and overlays of
 * demo pencils of another maker than the model's, rounded up (`npm run bench look` prints them).
 */
const USUALLY: Readonly<Record<BeliefGround, number>> = {
  fitted: 1.5,
  carried: 2,
  'read once': 3.5,
  'like its kind': 3,
  declared: 8,
};

/** @param apart how far a fit leaves model and readings, where there was one */
export function beliefOn(ground: BeliefGround, apart = 0): Belief {
  return { ground, apart: Math.max(USUALLY[ground], apart) };
}

/**
 * The least difference between two colours that is sure, CIEDE2000: both may be off, each its own way. Less than this no
 * reason should be made of.
 */
export function sureDifference(a: Belief, b: Belief): number {
  return Math.hypot(a.apart, b.apart);
}

/**
 * What a prediction from several pencils rests on: the least sure of their grounds, and their errors' root mean square.
 * @returns null for none
 */
export function beliefOfAll(beliefs: readonly Belief[]): Belief | null {
  if (beliefs.length === 0) return null;
  const ground = BELIEFS[Math.max(...beliefs.map((belief) => BELIEFS.indexOf(belief.ground)))]!;
  const squares = beliefs.reduce((sum, { apart }) => sum + apart * apart, 0);
  return { ground, apart: Math.sqrt(squares / beliefs.length) };
}
