/** demo: the scenario that the application comes with: drawn sheets, pencils, records, devices, and laying them out on a desk. */
export { BEGUN_SHEET, DEMO_EDITION, DEMO_TRAY, type DemoDesk, type DemoSheet, seedDemo } from './seed.ts';
export { DEMO_PAGES, type DemoPage, demoPageById, markOf } from './pages/index.ts';
export { DEMO_SETS, type DemoPencil, demoPencils, demoTools } from './pencils/index.ts';
