/** preview: what will come out, as pixels: pages, pencils' laydowns and the wheel, all by the layer model and with the paper's grain. */
export { type Looking, type ToneStack, type ToneTable, TONE_STEPS, toneStack, toneTables } from './tone-tables.ts';
export { type Course, type Landmarks, courseOf } from './courses.ts';
export { type Painted, type PreviewSource, type PrintedInk, renderPreview } from './render-preview.ts';
export { type Piece, pieceOf } from './piece.ts';
export { rampStrip } from './ramp-strip.ts';
export { groundPatch } from './ground-patch.ts';
export { laydownStrip } from './laydown-strip.ts';
export { HUB, RIM_CHROMA, ringRadius, wheelDisc } from './wheel-disc.ts';
export { type View, VIEWS, viewById } from './views/index.ts';
export { zoneShare } from './zone-share.ts';
