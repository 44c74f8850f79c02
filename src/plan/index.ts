/** plan: what is decided about a sheet, as one document: reading it, changing it by name, and changes as patches. */
export * from './edits/index.ts';
export {
  type PlanDifference,
  type PlanEdit,
  PatchError,
  conflictsOf,
  difference,
  edited,
  overlap,
  patched,
} from './patches.ts';
export { type MappedRegions, regionAt, takeRegions } from './regions-anew.ts';
export {
  type PlacedGlow,
  aboutRegion,
  familiesOf,
  frontToBack,
  glowsOf,
  lampsOf,
  lightingOf,
  thingAt,
  thingsOf,
} from './select.ts';
export { type SectionChange, readPlan, upgradeHistory } from './upgrade/index.ts';
