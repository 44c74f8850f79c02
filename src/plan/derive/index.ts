/** derive: what a plan comes to on its page: forms, recipes, hours, reflections, what a palette must know. */
export { type LaidOn, type PencilsHere, RecipeContexts } from './recipe-contexts.ts';
export { deriveHours, deriveRecipes, proposedEffects } from './derive.ts';
export { type PlannedPage, type PlannedRegion, deriveForms, formedThings, withLight } from './things-in-light.ts';
export { groundsOf } from './grounds.ts';
export { pageInLight } from './page-in-light.ts';
export { type Hours, withinHours } from './hours.ts';
export { type DerivedSheet, laidSheet } from './laid-sheet.ts';
export { regionsOfThings } from './things-regions.ts';
export { reflectionsOf, withReflected } from './reflections.ts';
export { regionsKey } from './regions-key.ts';
export { pinnedFamilies, farOf, summariseSheet } from './summarise-sheet.ts';
