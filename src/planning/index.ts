/** planning: from a stored plan and its tray to what core computes with, and back; pure, used by the desk and by the demo. */
export { type StoredPencil, asTrayPencil } from './as-tray-pencil.ts';
export { benchPlanFrom, openSteps } from './bench-plan.ts';
export { type PencilsHere, Contexts } from './contexts.ts';
export { deriveHours, deriveRecipes, proposedEffects } from './derive.ts';
export { type PlannedPage, deriveForms, formedThings, lightingOf } from './things-in-light.ts';
export { type Hours, withinHours } from './hours.ts';
export { regionsOfThings } from './things-regions.ts';
export { type KeyedGround, groundFinder, groundsOf } from './grounds.ts';
export { type LayerCost, costOfLayer } from './layer-cost.ts';
export { laidLayers } from './laid-layers.ts';
export { type LaidThing, regionTables } from './region-tables.ts';
export { type PaperInUse, paperInUse } from './paper-in-use.ts';
export { type TrayReadings, readingsOf } from './read-pencils.ts';
export { plannedWear } from './planned-wear.ts';
export { type ShoppingItem, type ShoppingReason, shoppingList } from './shopping-list.ts';
export { regionsKey } from './regions-key.ts';
export { pinnedFamilies, summariseSheet } from './summarise-sheet.ts';
export { withGuesses } from './with-guesses.ts';
