/** rendering: what lies on each region of a page, as pictures of it are painted. */
export { type KeyedGround, groundFinder, groundsOf } from './grounds.ts';
export { regionCourses } from './region-courses.ts';
export { type LaidPage, laidOnInk, laidOnPaper } from './laid-page.ts';
export { type LaidThing, regionTables } from './region-tables.ts';
