/** effects: one file an effect; to add one, write its file and list it here. */
import { blend } from './blend.ts';
import { domedGem } from './domed-gem.ts';
import { type Effect } from './effect.ts';
import { fur } from './fur.ts';
import { glass } from './glass.ts';
import { metalFromOnePencil } from './metal-from-one-pencil.ts';
import { pearl } from './pearl.ts';
import { polishedMetal } from './polished-metal.ts';
import { satinMetal } from './satin-metal.ts';
import { snow } from './snow.ts';

export { usualWidth } from './fit.ts';
export { type Effect, type RegionContext } from './effect.ts';
/** Every effect that a family can be made to show, the usual one first. */
export const EFFECTS: readonly Effect[] = [
  ...[blend, polishedMetal, satinMetal, metalFromOnePencil],
  ...[domedGem, pearl, glass, snow, fur],
];

/**
 * The effect with this id.
 * @throws RangeError when there is none.
 */
export function effectById(id: string): Effect {
  const effect = EFFECTS.find((e) => e.id === id);
  if (!effect) throw new RangeError(`There is no effect called "${id}".`);
  return effect;
}

/** The effect that a material asks for, a blend where none does. */
export function proposeEffect(material: string | null): string {
  return EFFECTS.find(({ suits }) => material !== null && suits.includes(material))?.id ?? blend.id;
}
