/** render: a sheet as it will come out, from its page, its light and what is laid on it: one way for every picture. */
export { type KeyedGround, groundFinder } from './grounds.ts';
export { GROUND_KINDS } from './ground-kinds.ts';
export type { RegionGround } from './schemas.ts';
export { type LitPage, OpenPage } from './open-page.ts';
export { OpticsStore } from './optics-store.ts';
export { regionCourses } from './region-courses.ts';
export { type LaidThing, regionTables } from './region-tables.ts';
export { type LaidSheet, type Look, previewSource, renderSheet } from './render-sheet.ts';
