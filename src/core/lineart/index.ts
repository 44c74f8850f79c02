/** lineart: from the grey pixels of a page to its closed white areas, measured in millimetres. */
export { type GreyImage, type RgbaImage, LineArtError, greyOfRgba, rgbOfRgba } from './images.ts';
export { type RegionMap, NO_REGION } from './region-map.ts';
export type { Border, Doubt, Mend, Region, SeenColours } from './schemas.ts';
export { type PointMm } from '../primitives/index.ts';
export { type ShapeKind, SHAPE_KINDS } from './shape-kinds.ts';
export { NEAR_MM } from './mends.ts';
export { type FindOptions, checkPage, findRegions } from './find-regions.ts';
export { type IndexedPage, PageIndex } from './page-index/index.ts';
export { distanceTo, distanceToLines } from './distance.ts';
export { LINE_REACH_MM, growLabels } from './grow.ts';
export { SAME_SHARE, sameRegions } from './same-regions.ts';
export { type Arc, ringArea, ringsOfRegions, traceBorders } from './borders.ts';
export { bandsThatFit } from './shapes.ts';
export { type InkOfPage, type RgbImage, inkOfPage } from './coloured.ts';
export { type SeenGround, type SeenPage, readSeen } from './seen/index.ts';
export { partTones } from './tones.ts';
export { type InkShare, coarseInkShare, inkShareOf } from './ink-share.ts';
