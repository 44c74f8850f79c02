import { type Ground, type PencilOptics, layPasses } from '../laydown/index.ts';
import type { Layer } from './schemas.ts';
import { type Recipe } from './recipe.ts';
import { passesOf } from './passes.ts';
import { type FieldValues, fieldsOf, shareInZone } from './zone.ts';
import { placesOf } from './places.ts';

/**
 * Share of the paper's tooth that is left after each layer, where that layer finds least.
 * @throws RangeError when a layer's pencil has no optics
 */
export function toothAfter(recipe: Recipe, optics: ReadonlyMap<string, PencilOptics>, ground: Ground): number[] {
  const places = placesOf(fieldsOf(recipe.layers));
  return recipe.layers.map((layer, i) => {
    const there = places.filter((place) => covers(layer, place));
    const stacks = new Map(
      there.map((place) => {
        const stack = recipe.layers.slice(0, i + 1).filter((other) => covers(other, place));
        return [stack.map(({ id }) => id).join(), stack];
      }),
    );
    const left = [...stacks.values()].map(
      (stack) =>
        layPasses(
          ground,
          stack.flatMap((each) => passesOf(each, optics)),
        ).toothLeft,
    );
    return Math.min(1, ...left);
  });
}

/** Whether a layer is laid at a place with more than half of its pressure. */
export function covers({ zone }: Pick<Layer, 'zone'>, place: FieldValues): boolean {
  return shareInZone(zone, place) > 0.5;
}
