import { type Ground, type PencilOptics, layPasses } from '../laydown/index.ts';
import { type RegionContext } from './effects/index.ts';
import { type Layer, POINT_MM, type Recipe } from './layer.ts';

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
  return [
    fullTooth(recipe.layers, optics, ground),
    valueStep(recipe.layers, optics, ground),
    narrow(recipe, context),
  ].filter((finding) => finding !== null);
}

function passesOf(layers: readonly Layer[], optics: ReadonlyMap<string, PencilOptics>) {
  return layers.flatMap((layer) => {
    const pencil = optics.get(layer.pencil);
    if (!pencil) throw new RangeError(`Pencil ${layer.pencil} of layer ${layer.id} is not in the tray.`);
    return Array.from({ length: layer.passes }, () => ({ pencil, pressure: layer.pressure }));
  });
}

/** Where all zones overlap (the deepest shadow) every layer but the last must still find tooth. */
function fullTooth(
  layers: readonly Layer[],
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): Finding | null {
  const inShadow = layers.filter((layer) => layer.zone.from <= 0.05);
  const before = layPasses(ground, passesOf(inShadow.slice(0, -1), optics));
  if (before.toothLeft >= TOOTH_NEEDED) return null;
  const left = Math.round(100 * before.toothLeft);
  return {
    kind: 'full tooth',
    sentence: `In the shadow the paper is nearly full before the last layer: ${left}% of its tooth is left.`,
    remedy: 'Lay the earlier layers more lightly.',
  };
}

function valueStep(
  layers: readonly Layer[],
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): Finding | null {
  const shadow = layPasses(
    ground,
    passesOf(
      layers.filter((layer) => layer.zone.from <= 0.05),
      optics,
    ),
  );
  const light = layPasses(
    ground,
    passesOf(
      layers.filter((layer) => layer.zone.to >= 0.85),
      optics,
    ),
  );
  const step = light.lab[0] - shadow.lab[0];
  if (step >= VALUE_STEP) return null;
  return {
    kind: 'no value step',
    sentence: `Shadow and light differ by only ${Math.max(0, step).toFixed(0)} L*, so the form will look flat.`,
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
