import type { Border, Doubt, Region } from './schemas.ts';

/** Label of white paper that belongs to no region: the margin around a drawing, and flecks too small to matter. */
export const NO_REGION = 65_535;

/** What findRegions returns. */
export interface RegionMap {
  width: number;
  height: number;
  pixelsPerMm: number;
  /** Region id of each white pixel, NO_REGION on other white paper, 0 on ink. */
  labels: Uint16Array;
  regions: Region[];
  neighbours: Border[];
  /** Sets of regions of the same shape, turned, mirrored or scaled; the largest set first. */
  alike: number[][];
  doubts: Doubt[];
}
