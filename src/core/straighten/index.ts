/** straighten: from a photograph of a page to the page as it lies: its corners found, its perspective taken out. */
export { type PointPx, type Quad, InvalidQuadError, isConvexQuad, sideLengths } from './quad.ts';
export { findPageCorners } from './find-corners.ts';
export { perspectiveOf } from './perspective.ts';
export { straightened } from './straightened.ts';
