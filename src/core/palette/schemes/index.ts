/** schemes: one file a scheme; to add one, write its file and list it here. */
import { turn } from '../../colour/index.ts';
import { analogousAccent } from './analogous-accent.ts';
import { analogous } from './analogous.ts';
import { complementary } from './complementary.ts';
import { doubleSplit } from './double-split.ts';
import { free } from './free.ts';
import { oneHue } from './one-hue.ts';
import { type Scheme } from './scheme.ts';
import { splitComplementary } from './split-complementary.ts';
import { square } from './square.ts';
import { tetrad } from './tetrad.ts';
import { triad } from './triad.ts';
import { warmCool } from './warm-cool.ts';

export { type Scheme } from './scheme.ts';
/** Every scheme the wheel can hold. */
export const SCHEMES: readonly Scheme[] = [
  complementary,
  splitComplementary,
  doubleSplit,
  analogous,
  analogousAccent,
  triad,
  tetrad,
  square,
  warmCool,
  oneHue,
  free,
];

/** No more hands than these: a page with more has no scheme. */
export const MOST_HANDS = 5;

/**
 * The scheme with this id.
 * @throws RangeError when there is none.
 */
export function schemeById(id: string): Scheme {
  const scheme = SCHEMES.find((s) => s.id === id);
  if (!scheme) throw new RangeError(`There is no scheme called "${id}".`);
  return scheme;
}

/**
 * Where the hands of a scheme stand, degrees on the wheel, the ruling one first.
 * @param own degrees of each hand from the anchor where the scheme is free, one to five; none: the scheme's own
 * @throws RangeError for an unknown scheme or more than five hands
 */
export function handsOf(schemeId: string, anchor: number, own: readonly number[] = []): number[] {
  const scheme = schemeById(schemeId);
  const hands = scheme.id === 'free' && own.length > 0 ? own : scheme.hands;
  if (hands.length > MOST_HANDS)
    throw new RangeError(`A wheel holds at most ${MOST_HANDS} hands, not ${hands.length}.`);
  return hands.map((offset) => turn(anchor + offset));
}
