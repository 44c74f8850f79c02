/** order: from a plan to the steps of its bench and what they take, and how those stand. */
export { about } from './about.ts';
export { type AtHand, benchPlanFrom, isOutOfDate, openSteps, stepsFinished } from './bench-plan.ts';
export { type AfterEvenings, afterEvenings } from './after-evenings.ts';
export { daysOfSittings } from './evenings.ts';
export { type Held, heldFor } from './held.ts';
export { type LayerCost, costOfLayer } from './layer-cost.ts';
export { benchPlanWithSittings } from './bench-plan-with-sittings.ts';
export { type Slip, isInASpot, repairsFor, thingBeside } from './repairs.ts';
export { roundsOfPlan } from './rounds-of-plan.ts';
export { namesOf, thingsInWords } from './thing-names.ts';
export { type ToldAlike, shapesInWords, timesInWords, toldAlike } from './told-alike.ts';
export { laidLayers } from './laid-layers.ts';
export { whyOffWish } from './off-wish.ts';
export { plannedWear } from './planned-wear.ts';
export { type ShoppingItem, type ShoppingReason, shoppingList } from './shopping-list.ts';
export { minutesWorked, withEntry } from './with-entry.ts';
