/** schemes: one file a scheme; to add one, write its file and list it here. */
import { analogous } from './analogous.ts';
import { complementary } from './complementary.ts';
import { oneHue } from './one-hue.ts';
import { type Scheme } from './scheme.ts';
import { splitComplementary } from './split-complementary.ts';
import { triad } from './triad.ts';

export { type Scheme } from './scheme.ts';
/** Every scheme the wheel can hold. */
export const SCHEMES: readonly Scheme[] = [complementary, splitComplementary, analogous, triad, oneHue];

/**
 * The scheme with this id.
 * @throws RangeError when there is none.
 */
export function schemeById(id: string): Scheme {
  const scheme = SCHEMES.find((s) => s.id === id);
  if (!scheme) throw new RangeError(`There is no scheme called "${id}".`);
  return scheme;
}
