/** effects: one file an effect; to add one, write its file and list it here. */
import { blend } from './blend.ts';
import { type Effect } from './effect.ts';

export { usualWidth } from './blend.ts';
export { type Effect, type RegionContext } from './effect.ts';
/** Every effect that a family can be made to show. */
export const EFFECTS: readonly Effect[] = [blend];

/**
 * The effect with this id.
 * @throws RangeError when there is none.
 */
export function effectById(id: string): Effect {
  const effect = EFFECTS.find((e) => e.id === id);
  if (!effect) throw new RangeError(`There is no effect called "${id}".`);
  return effect;
}
