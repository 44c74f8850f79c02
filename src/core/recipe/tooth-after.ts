import { type Ground, type PencilOptics, layPasses } from '../laydown/index.ts';
import { type Recipe } from './layer.ts';

/**
 * Share of the paper's tooth that is left after each layer, where most layers meet: in the deepest shadow that the
 * layer covers.
 * @throws RangeError when a layer's pencil has no optics
 */
export function toothAfter(recipe: Recipe, optics: ReadonlyMap<string, PencilOptics>, ground: Ground): number[] {
  return recipe.layers.map((layer, i) => {
    const below = recipe.layers
      .slice(0, i + 1)
      .filter((other) => other.zone.from <= layer.zone.from && other.zone.to >= layer.zone.from);
    const passes = below.flatMap(({ pencil: id, pressure, passes: times }) => {
      const pencil = optics.get(id);
      if (!pencil) throw new RangeError(`Pencil ${id} of layer ${layer.id} is not in the tray.`);
      return Array.from({ length: times }, () => ({ pencil, pressure }));
    });
    return layPasses(ground, passes).toothLeft;
  });
}
