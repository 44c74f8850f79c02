/** A point on the page in millimetres from its top left corner, y down. */
export interface PointMm {
  x: number;
  y: number;
}

/** One closed white area of the page, measured on its white part. */
export interface Region {
  /** 1 and up, in reading order. */
  id: number;
  areaMm2: number;
  /** Diameter of the largest circle that fits: what a pencil has to work in. */
  usableWidthMm: number;
  /** Centre of that circle. */
  pole: PointMm;
  centroid: PointMm;
  /** Left, top, right and bottom edges. */
  box: { left: number; top: number; right: number; bottom: number };
  /** Direction of the long axis, degrees clockwise from +x, 0..180. */
  axisDegrees: number;
  /** Length along that axis, four times the standard deviation. */
  lengthMm: number;
}

/** Two regions that share a printed line, `a` < `b`. */
export interface Border {
  a: number;
  b: number;
  lengthMm: number;
}

/** Something about the page that a person should look at. */
export interface Doubt {
  /** A white fleck smaller than the smallest region that matters; it was left out. */
  kind: 'fleck';
  at: PointMm;
  areaMm2: number;
}

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
  doubts: Doubt[];
}
