import { deltaE2000 } from '../colour/index.ts';
import { type Ground, type PencilOptics } from '../laydown/index.ts';
import { samplePlaces } from './checks/index.ts';
import { type Recipe } from './recipe.ts';
import { placesOf } from './places.ts';
import { toothAfter } from './tooth-after.ts';
import { type FieldValues, MOST_FIELDS, fieldsOf } from './zone.ts';

/** What a change of a recipe does to what comes out. */
export interface Consequences {
  /** Largest CIEDE2000 between before and after, where that is, and by how much its L* changes there. */
  colour: number;
  where: FieldValues;
  value: number;
  /** Share of the tooth that the last layer leaves, before and after. */
  toothBefore: number;
  toothAfter: number;
}

/**
 * Compares what comes out of two recipes for the same thing at every kind of place.
 * @returns null where they look at fields that cannot be looked at together
 * @throws RangeError when a layer's pencil has no optics
 */
export function consequencesOf(
  before: Recipe,
  after: Recipe,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): Consequences | null {
  const fields = [...new Set([...fieldsOf(before.layers), ...fieldsOf(after.layers)])];
  if (fields.length > MOST_FIELDS) return null;
  const places = placesOf(fields);
  const sampled = (recipe: Recipe) => samplePlaces(recipe, optics, ground, { places });
  const [were, are] = [sampled(before), sampled(after)];
  const apart = were.map(({ lab }, i) => deltaE2000(lab, are[i]!.lab));
  const most = apart.indexOf(Math.max(...apart));
  const left = (recipe: Recipe) => Math.min(1, ...toothAfter(recipe, optics, ground));
  return {
    colour: apart[most]!,
    where: places[most]!,
    value: are[most]!.lab[0] - were[most]!.lab[0],
    toothBefore: left(before),
    toothAfter: left(after),
  };
}
