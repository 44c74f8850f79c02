/** First word of every index, "PIDX", so that other bytes are not taken for one. */
export const MAGIC = 0x5844_4950;
/** Edition of the bytes; raised whenever what they hold changes. */
export const VERSION = 2;
/** The oldest edition that is read: it held no printed lines. */
export const OLDEST = 1;

/** The words that an index begins with: what it is, and how much of everything it holds (see {@link Counts}). */
export type Header = [
  magic: number,
  version: number,
  width: number,
  height: number,
  regions: number,
  neighbours: number,
  doubts: number,
  alike: number,
  arcs: number,
  corners: number,
  seen: number,
  ink: number,
];
export const HEADER_WORDS = 12;
export const RESOLUTION_AT = 48;
export const TABLES_AT = 56;
/** Sides of a picture, pixels. */
export const LONGEST = 16_384;

/** How much of everything an index holds. */
export interface Counts {
  width: number;
  height: number;
  regions: number;
  neighbours: number;
  doubts: number;
  /** Words of the sets of like regions: of each set how many, and which. */
  alike: number;
  arcs: number;
  corners: number;
  /** The paper and what lies on it; 0 where nothing was read. */
  seen: number;
  /** 1 where the printed lines are held, else 0. */
  ink: number;
}

/** Where everything stands in the bytes of an index. */
export interface Layout {
  counts: Counts;
  /** Where each table begins, bytes. */
  at: Record<
    'regions' | 'neighbours' | 'doubts' | 'seen' | 'points' | 'starts' | 'ends' | 'alike' | 'labels' | 'grown' | 'ink',
    number
  >;
  bytes: number;
}

/** Area, usable width, pole, centroid, box, axis, length, breadth, holes, shape. */
export const REGION_COLUMNS = 15;
export const BORDER_COLUMNS = 3;
/** Kind, place, area or gape, from, to, closed. */
export const DOUBT_COLUMNS = 9;
/** Region, or 0 for the paper; kind; colour as a number. */
export const SEEN_COLUMNS = 3;
/** Left, right, closed. */
export const ARC_COLUMNS = 3;

export function layoutOf(counts: Counts): Layout {
  let bytes = TABLES_AT;
  const take = (size: number) => {
    const at = bytes;
    bytes += Math.ceil(size / 8) * 8;
    return at;
  };
  const { width, height, regions, neighbours, doubts, alike, arcs, corners, seen, ink } = counts;
  const at = {
    regions: take(8 * REGION_COLUMNS * regions),
    neighbours: take(8 * BORDER_COLUMNS * neighbours),
    doubts: take(8 * DOUBT_COLUMNS * doubts),
    seen: take(8 * SEEN_COLUMNS * seen),
    points: take(16 * corners),
    starts: take(4 * (arcs + 1)),
    ends: take(2 * ARC_COLUMNS * arcs),
    alike: take(2 * alike),
    labels: take(2 * width * height),
    grown: take(2 * width * height),
    ink: take(ink * (8 + width * height)),
  };
  return { counts, at, bytes };
}

export type Views = ReturnType<typeof viewsOf>;

/** The tables and rasters of an index, as views of its bytes. */
export function viewsOf(data: ArrayBuffer, { counts, at }: Layout) {
  const { width, height, regions, neighbours, doubts, alike, arcs, corners, seen, ink } = counts;
  return {
    regions: new Float64Array(data, at.regions, REGION_COLUMNS * regions),
    neighbours: new Float64Array(data, at.neighbours, BORDER_COLUMNS * neighbours),
    doubts: new Float64Array(data, at.doubts, DOUBT_COLUMNS * doubts),
    seen: new Float64Array(data, at.seen, SEEN_COLUMNS * seen),
    points: new Float64Array(data, at.points, 2 * corners),
    starts: new Uint32Array(data, at.starts, arcs + 1),
    ends: new Uint16Array(data, at.ends, ARC_COLUMNS * arcs),
    alike: new Uint16Array(data, at.alike, alike),
    labels: new Uint16Array(data, at.labels, width * height),
    grown: new Uint16Array(data, at.grown, width * height),
    inkReflects: new Float64Array(data, at.ink, ink),
    inkShare: new Uint8Array(data, at.ink + 8 * ink, ink * width * height),
  };
}
