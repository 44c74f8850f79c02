/** lineart: from the grey pixels of a page to its closed white areas, measured in millimetres. */
export { type GreyImage, type RgbaImage, LineArtError, greyOfRgba } from './images.ts';
export { type Border, type Doubt, type PointMm, type Region, type RegionMap, NO_REGION } from './region-map.ts';
export { type FindOptions, LINE_REACH_MM, checkPage, findRegions } from './find-regions.ts';
export { distanceTo, distanceToLines } from './distance.ts';
export { growLabels } from './grow.ts';
export { outlineRings } from './outlines.ts';
