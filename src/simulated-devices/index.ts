/** devices: the scanner, camera and colour meter that only pretend, behind the interfaces that real ones would have. */
export { type Corner, type FlatThing, cornersOf, homography, simulatedCamera } from './camera.ts';
export { CARD_SHEET_MM, practiceStrip, swatchCard, swatchChart, trialScrap } from './cards.ts';
export { simulatedMeter } from './meter.ts';
export { type Picture } from './resample.ts';
export { type Lie, type PrintedPage, lieOf, simulatedScanner } from './scanner.ts';
