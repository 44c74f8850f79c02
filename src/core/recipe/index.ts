/** recipe: effects and schools compiled to ordered layers for one thing, and checks of what comes out. */
export { type Extra, type Family, EXTRAS, MOST_PENCILS, bodyOf, familyOf, pencilsFor, pencilsOf } from './family.ts';
export {
  type Layer,
  type Point,
  type Recipe,
  type Role,
  type Stroke,
  type Zone,
  POINTS,
  POINT_MM,
  ROLES,
  STROKES,
} from './layer.ts';
export { type School, SCHOOLS, schoolById } from './schools/index.ts';
export { type Effect, type RegionContext, EFFECTS, effectById, proposeEffect, usualWidth } from './effects/index.ts';
export { compileRecipe, layersFor } from './compile-recipe.ts';
export { type Finding, checkRecipe } from './check-recipe.ts';
export { type LayerEdit, withEdits } from './edits.ts';
export { type LostLayer, type TrimmedThing, gentleRecipe, trimToMinutes } from './trim.ts';
export { toothAfter } from './tooth-after.ts';
export { shareInZone } from './zone.ts';
