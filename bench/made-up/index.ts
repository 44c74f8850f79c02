/** made-up: line-art pages drawn by seed with everything that is true of them, to judge the finding of regions by. */
export { type Gap, type MadeUpPage, madeUpPage } from './page.ts';
export { type MadeUp } from './wish.ts';
export { badlyScanned } from './scan.ts';
export { type Score, scoreRegions } from './score.ts';
