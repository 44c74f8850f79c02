import { type Arc, BORDER_TOLERANCE_PX, EDGE_TOLERANCE_PX, lengthOf, ringsOfRegions, traceBorders } from './borders.ts';
import { distanceToLines } from './distance.ts';
import { LINE_REACH_MM, growLabels, linePixels } from './grow.ts';
import { type SeenGround } from './seen/index.ts';
import { type Border, type Doubt, type Region, type RegionMap, NO_REGION, SHAPE_KINDS } from './region-map.ts';

/** First word of every index, "PIDX", so that other bytes are not taken for one. */
const MAGIC = 0x5844_4950;
/** Edition of the bytes; raised whenever their order changes. */
const VERSION = 1;

/** What an index is made of. */
export interface IndexedPage extends RegionMap {
  /** Labels grown to the middle of the lines, as growLabels gives them. */
  grown: Uint16Array;
  /** Every border between them, as traceBorders gives them. */
  arcs: readonly Arc[];
  /** What lay on the page already when it was scanned in colour; null where that was not read. */
  seen: SeenColours | null;
}

/** What was read from a page in colour, each colour as #rrggbb. */
export interface SeenColours {
  paper: string;
  /** Every region that is not bare. */
  grounds: { region: number; kind: SeenGround['kind']; colour: string }[];
}

/**
 * All that is known of a page's regions: their raster, the raster grown to the middle of the lines, the borders between
 * them and what was measured of each. It is one run of bytes, so that it crosses to a worker, to the server and to the
 * next day whole, and is not worked out there again.
 *
 * Bytes are little-endian: twelve 32-bit words (see HEADER_WORDS) and the resolution, then, each from a multiple
 * of eight bytes on, the tables of regions, borders of regions, doubts, what was seen, arcs with their corners, the sets of
 * like regions, and the two rasters, row by row.
 *
 * How far each pixel lies from a line takes thirty times the room of all the rest once packed, and as long to unpack as
 * to work out: it is worked out when it is first asked for.
 */
export class PageIndex implements IndexedPage {
  readonly width: number;
  readonly height: number;
  readonly pixelsPerMm: number;
  readonly regions: Region[];
  readonly neighbours: Border[];
  readonly alike: number[][];
  readonly doubts: Doubt[];
  readonly seen: SeenColours | null;
  readonly arcs: readonly Arc[];
  readonly labels: Uint16Array;
  readonly grown: Uint16Array;
  /** The bytes that all of it stands in. Whoever transfers them gives the index away. */
  readonly data: ArrayBuffer;
  #distance: Float32Array | null = null;
  #rings: readonly (readonly Float64Array[])[] | null = null;
  readonly #outlines = new Map<number, readonly Float64Array[]>();

  /** Puts an index together from what was found on a page. */
  static of(page: IndexedPage): PageIndex {
    const counts = {
      regions: page.regions.length,
      neighbours: page.neighbours.length,
      doubts: page.doubts.length,
      alike: page.alike.reduce((sum, set) => sum + 1 + set.length, 0),
      arcs: page.arcs.length,
      corners: page.arcs.reduce((sum, { points }) => sum + points.length / 2, 0),
      seen: page.seen ? 1 + page.seen.grounds.length : 0,
    };
    const layout = layoutOf({ width: page.width, height: page.height, ...counts });
    const data = new ArrayBuffer(layout.bytes);
    const { width, height } = page;
    new Uint32Array(data, 0, HEADER_WORDS).set([
      MAGIC,
      VERSION,
      width,
      height,
      counts.regions,
      counts.neighbours,
      counts.doubts,
      counts.alike,
      counts.arcs,
      counts.corners,
      counts.seen,
    ]);
    new Float64Array(data, RESOLUTION_AT, 1)[0] = page.pixelsPerMm;
    const { regions, neighbours, doubts, seen, alike, ends, starts, points, labels, grown } = viewsOf(data, layout);
    page.regions.forEach((region, k) => regions.set(rowOfRegion(region), k * REGION_COLUMNS));
    page.neighbours.forEach(({ a, b, lengthMm }, k) => neighbours.set([a, b, lengthMm], k * BORDER_COLUMNS));
    page.doubts.forEach((doubt, k) => doubts.set(rowOfDoubt(doubt), k * DOUBT_COLUMNS));
    seen.set(rowsOfSeen(page.seen));
    alike.set(page.alike.flatMap((set) => [set.length, ...set]));
    let corner = 0;
    page.arcs.forEach((arc, k) => {
      ends.set([arc.left, arc.right, arc.closed ? 1 : 0], k * ARC_COLUMNS);
      starts[k] = corner;
      points.set(arc.points, 2 * corner);
      corner += arc.points.length / 2;
    });
    starts[counts.arcs] = corner;
    labels.set(page.labels);
    grown.set(page.grown);
    return new PageIndex(data, layout, page.arcs);
  }

  /** Puts an index together from regions that were kept without one: their borders are followed again. */
  static ofLabels(map: RegionMap & Pick<IndexedPage, 'seen'>): PageIndex {
    const { width, height, pixelsPerMm, labels } = map;
    const lines = linePixels(labels);
    const grown = growLabels(labels, width, height, Math.ceil(LINE_REACH_MM * pixelsPerMm), lines);
    return PageIndex.of({ ...map, grown, arcs: traceBorders(grown, width, height, BORDER_TOLERANCE_PX, lines) });
  }

  /**
   * Takes an index up again from its bytes.
   * @throws RangeError when they are no index, one of another edition, cut short, or do not agree with themselves
   */
  static from(data: ArrayBuffer): PageIndex {
    if (data.byteLength < TABLES_AT) throw new RangeError('These are too few bytes for the regions of a page.');
    const [magic, version, width, height, regions, neighbours, doubts, alike, arcs, corners, seen] = new Uint32Array(
      data,
      0,
      HEADER_WORDS,
    );
    if (magic !== MAGIC) throw new RangeError('These bytes are not the regions of a page.');
    if (version !== VERSION) {
      throw new RangeError(`These regions are kept in edition ${version}; this program reads edition ${VERSION}.`);
    }
    if (width < 1 || height < 1 || width > LONGEST || height > LONGEST || regions >= NO_REGION) {
      throw new RangeError('These regions are of no page: it has no size, or more regions than can be.');
    }
    const layout = layoutOf({ width, height, regions, neighbours, doubts, alike, arcs, corners, seen });
    if (layout.bytes !== data.byteLength) {
      throw new RangeError('The regions of this page are cut short, or more follows them.');
    }
    const views = viewsOf(data, layout);
    refuseDisagreement(views, layout.counts, new Float64Array(data, RESOLUTION_AT, 1)[0]);
    return new PageIndex(data, layout, readArcs(views, arcs));
  }

  private constructor(data: ArrayBuffer, layout: Layout, arcs: readonly Arc[]) {
    const { width, height } = layout.counts;
    const views = viewsOf(data, layout);
    const rows = <T>(table: Float64Array, columns: number, read: (row: Float64Array, k: number) => T) =>
      Array.from({ length: table.length / columns }, (_, k) => read(table.subarray(k * columns), k));
    this.data = data;
    this.width = width;
    this.height = height;
    this.pixelsPerMm = new Float64Array(data, RESOLUTION_AT, 1)[0];
    this.regions = rows(views.regions, REGION_COLUMNS, (row, k) => regionOfRow(row, k + 1));
    this.neighbours = rows(views.neighbours, BORDER_COLUMNS, ([a, b, lengthMm]) => ({ a, b, lengthMm }));
    this.doubts = rows(views.doubts, DOUBT_COLUMNS, doubtOfRow);
    this.alike = readSets(views.alike);
    this.seen = seenOfRows(views.seen);
    this.arcs = arcs;
    this.labels = views.labels;
    this.grown = views.grown;
  }

  /** The same with what was read from the page in colour. */
  withSeen(seen: SeenColours | null): PageIndex {
    const { width, height, pixelsPerMm, regions, neighbours, alike, doubts, arcs, labels, grown } = this;
    return PageIndex.of({ width, height, pixelsPerMm, regions, neighbours, alike, doubts, arcs, labels, grown, seen });
  }

  /** Pixels from each pixel to the nearest line, 0 on lines. */
  get distance(): Float32Array {
    return (this.#distance ??= distanceToLines(this.labels, this.width, this.height));
  }

  /** The rings round each region at its id, in pixels, to the middle of the lines; the outer ring first. */
  get rings(): readonly (readonly Float64Array[])[] {
    return (this.#rings ??= ringsOfRegions(this.arcs, this.regions.length));
  }

  /** The rings round the white of one region, in pixels, the outer ring first; none for a region that is not there. */
  outlineOf(id: number): readonly Float64Array[] {
    const region = this.regions[id - 1];
    if (!region) return [];
    let outline = this.#outlines.get(id);
    if (!outline) this.#outlines.set(id, (outline = this.#traceWhite(region)));
    return outline;
  }

  /** Follows the edge of a region's white in a window of its own. */
  #traceWhite({ id, box }: Region): readonly Float64Array[] {
    const px = (mm: number) => Math.round(mm * this.pixelsPerMm);
    const [left, top] = [px(box.left), px(box.top)];
    const [width, height] = [px(box.right) - left, px(box.bottom) - top];
    const white = new Uint16Array(width * height);
    for (let y = 0, o = 0; y < height; y++) {
      const row = (top + y) * this.width + left;
      for (let x = 0; x < width; x++, o++) if (this.labels[row + x] === id) white[o] = 1;
    }
    const rings = ringsOfRegions(traceBorders(white, width, height, EDGE_TOLERANCE_PX), 1)[1];
    for (const ring of rings) {
      for (let k = 0; k < ring.length; k += 2) {
        ring[k] += left;
        ring[k + 1] += top;
      }
    }
    return rings;
  }
}

/** Magic, edition, width, height, and how many regions, borders, doubts, words of like sets, arcs, corners and seen. */
const HEADER_WORDS = 12;
const RESOLUTION_AT = 48;
const TABLES_AT = 56;
/** Sides of a picture, pixels. */
const LONGEST = 16_384;

interface Counts {
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
}

interface Layout {
  counts: Counts;
  /** Where each table begins, bytes. */
  at: Record<
    'regions' | 'neighbours' | 'doubts' | 'seen' | 'points' | 'starts' | 'ends' | 'alike' | 'labels' | 'grown',
    number
  >;
  bytes: number;
}

/** Area, usable width, pole, centroid, box, axis, length, breadth, holes, shape. */
const REGION_COLUMNS = 15;
const BORDER_COLUMNS = 3;
/** Kind, place, area or gape, from, to, closed. */
const DOUBT_COLUMNS = 9;
/** Region, or 0 for the paper; kind; colour as a number. */
const SEEN_COLUMNS = 3;
/** Left, right, closed. */
const ARC_COLUMNS = 3;

function layoutOf(counts: Counts): Layout {
  let bytes = TABLES_AT;
  const take = (size: number) => {
    const at = bytes;
    bytes += Math.ceil(size / 8) * 8;
    return at;
  };
  const { width, height, regions, neighbours, doubts, alike, arcs, corners, seen } = counts;
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
  };
  return { counts, at, bytes };
}

type Views = ReturnType<typeof viewsOf>;

function viewsOf(data: ArrayBuffer, { counts, at }: Layout) {
  const { width, height, regions, neighbours, doubts, alike, arcs, corners, seen } = counts;
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
  };
}

/** @throws RangeError where one part of an index speaks of what another part does not hold */
function refuseDisagreement(
  { starts, labels, grown, alike, neighbours, seen }: Views,
  counts: Counts,
  perMm: number,
): void {
  if (!(perMm > 0 && perMm < Infinity)) throw new RangeError('The regions of this page have no resolution.');
  if (highestLabel(labels) !== counts.regions || highestLabel(grown) !== counts.regions) {
    throw new RangeError('The raster of regions and their list do not agree.');
  }
  for (let k = 0; k < counts.arcs; k++) {
    if (starts[k] > starts[k + 1]) throw new RangeError('The borders of this page are out of order.');
  }
  if (starts[0] !== 0 || starts[counts.arcs] !== counts.corners) {
    throw new RangeError('The borders of this page and their corners do not agree.');
  }
  const isRegion = (id: number) => Number.isInteger(id) && id >= 1 && id <= counts.regions;
  for (let k = 0; k < neighbours.length; k += BORDER_COLUMNS) {
    if (!isRegion(neighbours[k]) || !isRegion(neighbours[k + 1])) {
      throw new RangeError('A border of this page is one of a region that is not there.');
    }
  }
  for (let k = SEEN_COLUMNS; k < seen.length; k += SEEN_COLUMNS) {
    if (!isRegion(seen[k])) throw new RangeError('Colour was seen on a region that is not there.');
  }
  for (let k = 0; k < alike.length; k += 1 + alike[k]) {
    const set = alike.subarray(k + 1, k + 1 + alike[k]);
    if (set.length !== alike[k] || !set.every(isRegion)) {
      throw new RangeError('A set of like regions holds one that is not there.');
    }
  }
}

function highestLabel(labels: Uint16Array): number {
  let highest = 0;
  // By index: an iterator over millions of pixels takes many times as long.
  for (let i = 0; i < labels.length; i++) {
    const label = labels[i];
    if (label > highest && label !== NO_REGION) highest = label;
  }
  return highest;
}

function readArcs({ starts, ends, points }: Views, count: number): Arc[] {
  return Array.from({ length: count }, (_, k): Arc => {
    const [left, right, closed] = ends.subarray(k * ARC_COLUMNS);
    const own = points.subarray(2 * starts[k], 2 * starts[k + 1]);
    return { left, right, closed: closed === 1, points: own, lengthPx: lengthOf(own, closed === 1) };
  });
}

function readSets(words: Uint16Array): number[][] {
  const sets: number[][] = [];
  for (let k = 0; k < words.length; k += 1 + words[k]) sets.push([...words.subarray(k + 1, k + 1 + words[k])]);
  return sets;
}

function rowOfRegion(region: Region): number[] {
  const { areaMm2, usableWidthMm, pole, centroid, box, axisDegrees, lengthMm, breadthMm, holes, shape } = region;
  const { left, top, right, bottom } = box;
  const places = [pole.x, pole.y, centroid.x, centroid.y, left, top, right, bottom];
  return [areaMm2, usableWidthMm, ...places, axisDegrees, lengthMm, breadthMm, holes, SHAPE_KINDS.indexOf(shape)];
}

function regionOfRow(row: Float64Array, id: number): Region {
  const [areaMm2, usableWidthMm, poleX, poleY, x, y, left, top, right, bottom] = row;
  const [axisDegrees, lengthMm, breadthMm, holes, shape] = row.subarray(10);
  const kind = SHAPE_KINDS[shape];
  if (!kind) throw new RangeError(`Region ${id} of this page has a shape that is not known.`);
  return {
    id,
    areaMm2,
    usableWidthMm,
    pole: { x: poleX, y: poleY },
    centroid: { x, y },
    box: { left, top, right, bottom },
    axisDegrees,
    lengthMm,
    breadthMm,
    holes,
    shape: kind,
  };
}

function rowOfDoubt(doubt: Doubt): number[] {
  const { x, y } = doubt.at;
  if (doubt.kind === 'fleck') return [0, x, y, doubt.areaMm2, 0, 0, 0, 0, 0];
  const { from, to, gapeMm, closed } = doubt;
  return [1, x, y, gapeMm, from.x, from.y, to.x, to.y, closed ? 1 : 0];
}

function doubtOfRow([kind, x, y, measure, fromX, fromY, toX, toY, closed]: Float64Array): Doubt {
  const at = { x, y };
  if (kind === 0) return { kind: 'fleck', at, areaMm2: measure };
  return {
    kind: 'gap',
    at,
    from: { x: fromX, y: fromY },
    to: { x: toX, y: toY },
    gapeMm: measure,
    closed: closed === 1,
  };
}

const SEEN_KINDS = ['printed grey', 'coloured'] as const satisfies readonly SeenGround['kind'][];

function rowsOfSeen(seen: SeenColours | null): number[] {
  if (!seen) return [];
  const number = (colour: string) => parseInt(colour.slice(1), 16);
  const grounds = seen.grounds.flatMap(({ region, kind, colour }) => [
    region,
    SEEN_KINDS.indexOf(kind),
    number(colour),
  ]);
  return [0, 0, number(seen.paper), ...grounds];
}

function seenOfRows(rows: Float64Array): SeenColours | null {
  if (rows.length === 0) return null;
  const hex = (colour: number) => '#' + colour.toString(16).padStart(6, '0');
  const grounds: SeenColours['grounds'] = [];
  for (let k = SEEN_COLUMNS; k < rows.length; k += SEEN_COLUMNS) {
    const [region, kind, colour] = rows.subarray(k);
    grounds.push({ region, kind: SEEN_KINDS[kind] ?? 'coloured', colour: hex(colour) });
  }
  return { paper: hex(rows[2]), grounds };
}
