import { type Lab, deltaE2000 } from '../colour/index.ts';
import {
  type Ground,
  type Hand,
  type Paper,
  PRESSURES,
  type PencilOptics,
  bareGround,
  handFromTrials,
  layPasses,
} from '../laydown/index.ts';
import { withEdits } from './edits.ts';
import type { LayerEdit, RecipeEdits, Layer } from './schemas.ts';
import { type Recipe } from './recipe.ts';
import { passesOf } from './passes.ts';
import { placesOf } from './places.ts';
import { type FieldValues, MOST_FIELDS, fieldsOf, shareInZone } from './zone.ts';

/** How first layers can look otherwise than foretold, each with how much harder it was pressed than meant. Assumptions. */
const PRESSED = { darker: 1.35, paler: 0.7, patchy: 0.85 } as const;
export type LooksOtherwise = keyof typeof PRESSED;

/** What is left of a recipe is changed in so many places at most, and only where each brings it nearer by so much. */
const MOST_CHANGES = 3;
const NEARER = 0.2;
const MOST_PASSES = 6;
/** Every so manyth place is looked at. */
const EVERY = 4;

export interface AfterSeeing {
  /** What to change in the layers that are left; empty where leaving them comes out as near. */
  edits: RecipeEdits;
  /** How far off what comes out would lie if nothing were changed, and how far then; mean CIEDE2000. */
  apartIfLeft: number;
  apartThen: number;
}

/**
 * Fits the layers that are left to what the first ones really look like, so that the end comes out as near to what was
 * planned as it can: fewer or more passes, lighter or firmer.
 * @param laid how many layers are laid, 1 and up
 * @param ground where the recipe starts, in the hand as it is known
 * @throws RangeError when no layer is laid, or a layer's pencil has no optics
 */
export function afterSeeing(
  recipe: Recipe,
  laid: number,
  look: LooksOtherwise,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): AfterSeeing {
  if (laid < 1) throw new RangeError('Nothing is laid yet that could look otherwise.');
  const fields = fieldsOf(recipe.layers).slice(0, MOST_FIELDS);
  const places = placesOf(fields).filter((_, k) => k % EVERY === 0);
  const layOn = (from: Ground, layers: readonly Layer[], place: FieldValues, harder = 1) =>
    layers.reduce((now, layer) => {
      const share = shareInZone(layer.zone, place) * harder;
      return share > 0.02 ? layPasses(now, passesOf(layer, optics, share)).ground : now;
    }, from);
  const first = recipe.layers.slice(0, laid);
  const wanted = places.map((place) => labOn(layOn(ground, recipe.layers, place)));
  const there = places.map((place) => layOn(ground, first, place, PRESSED[look]));
  const apartWith = ({ layers }: Recipe) =>
    mean(places.map((place, k) => deltaE2000(labOn(layOn(there[k]!, layers.slice(laid), place)), wanted[k]!)));
  const apartIfLeft = apartWith(recipe);
  const begun: RecipeEdits = look === 'patchy' ? closing(recipe, laid) : {};
  let edits: RecipeEdits = begun;
  let apartThen = apartWith(withEdits(recipe, edits));
  for (let k = 0; k < MOST_CHANGES; k++) {
    const now = withEdits(recipe, edits);
    let best: { edits: RecipeEdits; apart: number } | null = null;
    for (const layer of now.layers.slice(laid)) {
      if (layer.tool || begun.added?.some(({ id }) => id === layer.id)) continue;
      for (const change of changesOf(layer)) {
        const tried = { ...edits, layers: { ...edits.layers, [layer.id]: { ...edits.layers?.[layer.id], ...change } } };
        const apart = apartWith(withEdits(recipe, tried));
        if (!best || apart < best.apart) best = { edits: tried, apart };
      }
    }
    if (!best || best.apart > apartThen - NEARER) break;
    [edits, apartThen] = [best.edits, best.apart];
  }
  return { edits, apartIfLeft, apartThen };
}

/**
 * What first layers that look darker or paler than foretold say of the hand: a factor for their pressure, held towards
 * what is known already.
 */
export function handAfterSeeing(
  layers: readonly Layer[],
  look: Exclude<LooksOtherwise, 'patchy'>,
  optics: ReadonlyMap<string, PencilOptics>,
  paper: Paper,
): Hand {
  const pencils = layers.filter(({ tool }) => !tool);
  const passes = pencils.flatMap((layer) => passesOf(layer, optics));
  const seen = pencils.flatMap((layer) => passesOf(layer, optics, PRESSED[look]));
  return handFromTrials(paper, [{ passes, lab: layPasses(bareGround(paper), seen).lab }]);
}

/** One pass fewer or more, or one pressure lighter or firmer. */
function changesOf({ passes, pressure }: Layer): LayerEdit[] {
  const at = PRESSURES.indexOf(pressure);
  return [
    ...[passes - 1, passes + 1].filter((n) => n >= 1 && n <= MOST_PASSES).map((n) => ({ passes: n })),
    ...[at - 1, at + 1].flatMap((k) => (PRESSURES[k] ? [{ pressure: PRESSURES[k] }] : [])),
  ];
}

/** The last layer once more, lightly and in small circles, so that what it missed closes. */
function closing({ layers }: Recipe, laid: number): RecipeEdits {
  const last = layers[laid - 1]!;
  const again: Layer = {
    ...last,
    id: `${last.id}-again`.slice(0, 40),
    pressure: 'light',
    passes: 1,
    stroke: 'small circles',
    point: 'sharp',
    purpose: 'Once more, lightly in small circles, to close what looks patchy.',
  };
  const ids = layers.map(({ id }) => id);
  return { added: [again], order: [...ids.slice(0, laid), again.id, ...ids.slice(laid)] };
}

function labOn(ground: Ground): Lab {
  return layPasses(ground, []).lab;
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}
