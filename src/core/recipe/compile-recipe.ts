import { type RegionContext, effectById, usualWidth } from './effects/index.ts';
import { type Family } from './family.ts';
import { type Layer, type Recipe } from './layer.ts';
import { schoolById } from './schools/index.ts';

/**
 * Compiles an effect to the layers of one thing, in the order of a school or in its own.
 * @param effectId id of an effect
 * @param schoolId id of a school
 * @param family one to five pencils from dark to light, with or without blender, depth, accent and neutral
 * @param context the widths and areas of the thing's regions
 * @throws RangeError for an unknown effect or school, or when there is no region
 */
export function compileRecipe(effectId: string, schoolId: string, family: Family, context: RegionContext): Recipe {
  if (context.regions.length === 0) throw new RangeError('A recipe needs at least one region to be fitted to.');
  const { layers, notes } = effectById(effectId).lay(schoolById(schoolId), family, context);
  return { effect: effectId, school: schoolId, layers, notes, halfWidthMm: Math.max(0.5, usualWidth(context) / 2) };
}

/** The layers that a region of this width has room for, in order. */
export function layersFor(recipe: Recipe, usableWidthMm: number): Layer[] {
  return recipe.layers.filter((layer) => usableWidthMm >= layer.fromWidthMm);
}
