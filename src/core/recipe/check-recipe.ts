import { type Ground, type PencilOptics, layPasses } from '../laydown/index.ts';
import { type RegionContext } from './effects/index.ts';
import { type Layer, POINT_MM, type Recipe } from './layer.ts';
import { shareInZone } from './zone.ts';

/** Something about a recipe that deserves a look, with what to do about it. */
export interface Finding {
  kind: 'full tooth' | 'no value step' | 'narrow';
  sentence: string;
  remedy: string;
}

/** Below this share of empty tooth a light pass hardly takes any more. */
const TOOTH_NEEDED = 0.12;
/** Dark and light of a family closer than this in L* do not read as shadow and light. */
const VALUE_STEP = 12;

/**
 * Looks a recipe over before it is laid.
 * @param optics the pencils of the recipe by id
 * @param ground what it is laid on
 * @throws RangeError when a layer's pencil has no optics
 */
export function checkRecipe(
  recipe: Recipe,
  context: RegionContext,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): Finding[] {
  const laid = TONES.map((tone) => laidAt(recipe, tone, optics, ground));
  return [fullTooth(laid), valueStep(laid), narrow(recipe, context)].filter((finding) => finding !== null);
}

/** Tones at which a recipe is looked at. */
const TONES = Array.from({ length: 21 }, (_, k) => k / 20);

/** What lies at a tone: its L*, and the tooth that the last layer there still found. */
function laidAt(
  { layers, halfWidthMm }: Recipe,
  tone: number,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): { value: number; toothBeforeLast: number } {
  const there = layers.filter(({ zone }) => shareInZone(zone, tone, halfWidthMm) > 0.5);
  return {
    value: layPasses(ground, passesOf(there, optics)).lab[0],
    toothBeforeLast: layPasses(ground, passesOf(there.slice(0, -1), optics)).toothLeft,
  };
}

function passesOf(layers: readonly Layer[], optics: ReadonlyMap<string, PencilOptics>) {
  return layers.flatMap((layer) => {
    const pencil = optics.get(layer.pencil);
    if (!pencil) throw new RangeError(`Pencil ${layer.pencil} of layer ${layer.id} is not in the tray.`);
    return Array.from({ length: layer.passes }, () => ({ pencil, pressure: layer.pressure }));
  });
}

/** Wherever layers meet, every one but the last must still find tooth. */
function fullTooth(laid: readonly { toothBeforeLast: number }[]): Finding | null {
  const least = Math.min(...laid.map(({ toothBeforeLast }) => toothBeforeLast));
  if (least >= TOOTH_NEEDED) return null;
  return {
    kind: 'full tooth',
    sentence: `Where most layers meet the paper is nearly full before the last one: ${Math.round(100 * least)}% of its tooth is left.`,
    remedy: 'Lay the earlier layers more lightly.',
  };
}

function valueStep(laid: readonly { value: number }[]): Finding | null {
  const values = laid.map(({ value }) => value);
  const step = Math.max(...values) - Math.min(...values);
  if (step >= VALUE_STEP) return null;
  return {
    kind: 'no value step',
    sentence: `Its darkest and its lightest differ by only ${step.toFixed(0)} L*, so the form will look flat.`,
    remedy: 'Choose a darker dark or a paler light.',
  };
}

function narrow(recipe: Recipe, { regions }: RegionContext): Finding | null {
  const most = Math.max(0, ...recipe.layers.map((layer) => layer.fromWidthMm));
  const tight = regions.filter((region) => region.usableWidthMm < most).length;
  if (tight === 0) return null;
  return {
    kind: 'narrow',
    sentence: `${tight} of ${regions.length} regions are under ${most.toFixed(1)} mm wide and get fewer layers.`,
    remedy: `A band cannot be narrower than a sharp point, ${POINT_MM.sharp} mm: reserve the highlight first there.`,
  };
}
