/** demo: the scenario that the application comes with: drawn sheets, pencils, and laying them out on a desk. */
export { type DemoDesk, type DemoPencil, type DemoSheet, DEMO_TRAY, demoPencils, seedDemo } from './seed.ts';
export { type KeyedThing, ferryStepsThings, markOf } from './ferry-steps.ts';
export { demoSets } from './pencils.ts';
