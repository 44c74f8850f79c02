import { type Pressure, PRESS } from '../laydown/index.ts';
import { alwaysStays, worthOf } from './layer-kinds.ts';
import type { Layer } from './schemas.ts';
import { type Recipe } from './recipe.ts';

/** A thing whose recipe may be made shorter. */
export interface TrimmedThing {
  id: string;
  recipe: Recipe;
  /** How much it is worth, above 0: by importance, focus and area. */
  worth: number;
  /** Minutes that each layer takes, by its id. */
  minutes: ReadonlyMap<string, number>;
}

/** A layer that was left out. */
export interface LostLayer {
  thingId: string;
  layer: Layer;
  minutes: number;
}

/** So many layers of a recipe always stay. */
export const LEAST_LAYERS = 2;

/**
 * Leaves layers out, those first that are worth least for the minutes they take, until all recipes take no longer than
 * a budget or nothing more can go. Longer budgets never lose a layer that shorter ones keep.
 * @param budget minutes for all recipes together
 */
export function trimToMinutes(
  things: readonly TrimmedThing[],
  budget: number,
): { recipes: Map<string, Recipe>; lost: LostLayer[] } {
  const candidates = things.flatMap((thing) =>
    thing.recipe.layers
      .map((layer) => ({ layer, minutes: thing.minutes.get(layer.id) ?? 0 }))
      .filter(({ layer, minutes }) => !alwaysStays(layer) && minutes > 0)
      .map(({ layer, minutes }) => ({ thing, layer, minutes, rate: (thing.worth * worthOf(layer)) / minutes })),
  );
  candidates.sort((p, q) => p.rate - q.rate || (p.thing.id < q.thing.id ? -1 : 1));
  let left = things.reduce((sum, { minutes }) => sum + [...minutes.values()].reduce((p, q) => p + q, 0), 0);
  const staying = new Map(things.map(({ id, minutes }) => [id, minutes.size]));
  const lost: LostLayer[] = [];
  for (const { thing, layer, minutes } of candidates) {
    if (left <= budget) break;
    if (staying.get(thing.id)! <= LEAST_LAYERS) continue;
    staying.set(thing.id, staying.get(thing.id)! - 1);
    left -= minutes;
    lost.push({ thingId: thing.id, layer, minutes });
  }
  const gone = new Set(lost.map(({ thingId, layer }) => `${thingId} ${layer.id}`));
  const recipes = things.map(({ id, recipe }) => {
    return [id, { ...recipe, layers: recipe.layers.filter((layer) => !gone.has(`${id} ${layer.id}`)) }] as const;
  });
  return { recipes: new Map(recipes), lost };
}

/** The hardest that a gentle hand presses. */
export const GENTLE: Pressure = 'medium';

/** A recipe for a gentle hand: nothing firmer than medium, gone over once more where it was. */
export function gentleRecipe(recipe: Recipe): Recipe {
  return {
    ...recipe,
    layers: recipe.layers.map((layer) =>
      PRESS[layer.pressure] > PRESS[GENTLE]
        ? { ...layer, pressure: GENTLE, passes: Math.min(6, layer.passes + 1) }
        : layer,
    ),
  };
}
