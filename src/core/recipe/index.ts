/** recipe: effects and schools compiled to ordered layers for one thing, and checks of what comes out. */
export { countedForHand } from './counted-for-hand.ts';
export { bodyOf, familyOf, pencilsFor, pencilsOf } from './family.ts';
export { type Extra, EXTRAS, MOST_PENCILS, type Role, ROLES } from './roles.ts';
export type { Family, Layer, Span, Zone, LayerEdit, RecipeEdits, Card } from './schemas.ts';
export {
  type Direction,
  type Point,
  type Pull,
  type Stroke,
  DIRECTIONS,
  POINTS,
  POINT_MM,
  PULLS,
  STROKES,
} from './strokes.ts';
export { type Recipe } from './recipe.ts';
export { type School, SCHOOLS, schoolById } from './schools/index.ts';
export {
  type Effect,
  type LightOnThing,
  type RegionContext,
  EFFECTS,
  EFFECT_HEADS,
  choicesOf,
  effectById,
  overMm,
  proposeEffect,
  usualWidth,
} from './effects/index.ts';
export { type LitRegion, coveredMm2, coveredShares, withoutPlaceless } from './covered.ts';
export { fillPaper } from './fill-paper.ts';
export { finishRecipe } from './finish-recipe.ts';
export { REACHED, isToReach, rangeOnThing } from './reach-values.ts';
export { largestSoftStep } from './soften-steps.ts';
export { compileRecipe, layersFor } from './compile-recipe.ts';
export { type Beside, type Finding, type PaperRisk, CHECKS, checkRecipe, samplePlaces } from './checks/index.ts';
export { mergedEdits, withEdits } from './edits.ts';
export { layerLaidWith, withToolLayer } from './laid-with.ts';
export { cardOf, editsFromCard } from './card.ts';
export { COVERING } from './own-blender.ts';
export { cautionsOf } from './cautions.ts';
export { type Consequences, consequencesOf } from './consequences.ts';
export { layAtPlaces } from './lay-at-places.ts';
export { passesOf } from './passes.ts';
export { type LostLayer, type TrimmedThing, GENTLE, gentleRecipe, trimToMinutes } from './trim.ts';
export { toothAfter } from './tooth-after.ts';
export { type AfterSeeing, type LooksOtherwise, afterSeeing, handAfterSeeing } from './after-seeing.ts';
export { type FieldValues, fieldsOf, shareInSpan, shareInZone, shareOfZone, sharesOfValues } from './zone.ts';
export { FIELD_ENDS, zoneMm, zoneWords } from './zone-words.ts';
