import { type Ground, type PencilOptics, layPasses } from '../laydown/index.ts';
import { type Recipe, passesOf, shareInZone } from '../recipe/index.ts';
import { mistakeById } from './mistakes/index.ts';
import { type Mistake } from './remedy.ts';

/** What happened where. */
export interface Happened {
  /** Id of the kind of mistake. */
  kind: string;
  /** What is laid on the thing, and how many of its layers lie there. */
  recipe: Recipe;
  laid: number;
  /** The pencil that did it. */
  pencil: string;
}

/** The middle of a shape is taken for the place of a mistake. */
const MIDDLE = { tone: { value: 0.5, source: 0 } };

/**
 * What lay where a mistake was made, what lies there now, and what should be seen.
 * @param ground where the recipe starts
 * @throws RangeError when a pencil has no optics, and for a kind of mistake that there is not
 */
export function mistakeAt(
  { kind, recipe, laid, pencil }: Happened,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): Pick<Mistake, 'before' | 'now' | 'wanted'> {
  const layers = recipe.layers.slice(0, laid).filter(({ zone }) => shareInZone(zone, MIDDLE) > 0.3);
  const own = optics.get(pencil);
  if (!own) throw new RangeError(`Pencil ${pencil} is not in the tray.`);
  const whole = layPasses(
    ground,
    layers.flatMap((layer) => passesOf(layer, optics)),
  );
  return { ...mistakeById(kind).happen({ ground, layers, optics, own }), wanted: whole.lab };
}
