/** What a region looks like, roughly: what decides how light falls on it when nobody says otherwise. */
export const SHAPE_KINDS = ['ball', 'tube', 'leaf', 'ring', 'strip', 'irregular'] as const;
export type ShapeKind = (typeof SHAPE_KINDS)[number];

/** A point on the page in millimetres from its top left corner, y down. */
export interface PointMm {
  x: number;
  y: number;
}

/** One closed white area of the page. Area and usable width are those of its white part. */
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
  /** Extent along that axis and across it, to the middle of the lines around. */
  lengthMm: number;
  breadthMm: number;
  /** Islands in it: other regions, or parts of the margin, that it runs round. */
  holes: number;
  shape: ShapeKind;
}

/** Two regions that share a printed line, `a` < `b`. */
export interface Border {
  a: number;
  b: number;
  lengthMm: number;
}

/** Something about the page that a person should look at. */
export type Doubt =
  /** A white fleck smaller than the smallest region that matters; it was left out. */
  | { kind: 'fleck'; at: PointMm; areaMm2: number }
  /** An outline that gapes. Sure gaps were closed; the others wait for a person's word. */
  | { kind: 'gap'; at: PointMm; from: PointMm; to: PointMm; gapeMm: number; closed: boolean };

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
