import { type Arc, BORDER_TOLERANCE_PX, EDGE_TOLERANCE_PX, ringsOfRegions, traceBorders } from '../borders.ts';
import { distanceToLines } from '../distance.ts';
import { LINE_REACH_MM, growLabels, linePixels } from '../grow.ts';
import { type InkShare } from '../ink-share.ts';
import { type RegionMap, NO_REGION } from '../region-map.ts';
import type { Border, Doubt, Region, SeenColours } from '../schemas.ts';
import { refuseDisagreement } from './agreement.ts';
import {
  type Layout,
  ARC_COLUMNS,
  BORDER_COLUMNS,
  DOUBT_COLUMNS,
  type Header,
  HEADER_WORDS,
  LONGEST,
  MAGIC,
  OLDEST,
  REGION_COLUMNS,
  RESOLUTION_AT,
  TABLES_AT,
  VERSION,
  layoutOf,
  viewsOf,
} from './layout.ts';
import {
  doubtOfRow,
  readArcs,
  readSets,
  regionOfRow,
  borderOfRow,
  rowOfDoubt,
  rowOfRegion,
  rowsOfSeen,
  seenOfRows,
} from './tables.ts';

/** What an index is made of. */
export interface IndexedPage extends RegionMap {
  /** Labels grown to the middle of the lines, as growLabels gives them. */
  grown: Uint16Array;
  /** Every border between them, as traceBorders gives them. */
  arcs: readonly Arc[];
  /** What lay on the page already when it was scanned in colour; null where that was not read. */
  seen: SeenColours | null;
  /** Its printed lines; null where they were not kept with it. */
  ink: InkShare | null;
}

/**
 * All that is known of a page's regions: their raster, the raster grown to the middle of the lines, the borders between
 * them and what was measured of each. It is one run of bytes, so that it crosses to a worker, to the server and to the
 * next day whole, and is not worked out there again.
 *
 * Bytes are little-endian: twelve 32-bit words (see HEADER_WORDS) and the resolution, then, each from a multiple
 * of eight bytes on, the tables of regions, borders of regions, doubts, what was seen, arcs with their corners, the sets of
 * like regions, the two rasters, row by row, and the printed lines: what full ink reflects, and its share in each pixel.
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
  readonly ink: InkShare | null;
  readonly arcs: readonly Arc[];
  readonly labels: Uint16Array;
  readonly grown: Uint16Array;
  /** The bytes that all of it stands in. Whoever transfers them gives the index away. */
  readonly data: ArrayBuffer;
  readonly #distances = new Map<number, Float32Array>();
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
      ink: page.ink ? 1 : 0,
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
      counts.ink,
    ]);
    new Float64Array(data, RESOLUTION_AT, 1)[0] = page.pixelsPerMm;
    const views = viewsOf(data, layout);
    const { regions, neighbours, doubts, seen, alike, ends, starts, points } = views;
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
    views.labels.set(page.labels);
    views.grown.set(page.grown);
    if (page.ink) {
      views.inkReflects[0] = page.ink.reflects;
      views.inkShare.set(page.ink.share);
    }
    return new PageIndex(data, layout, page.arcs);
  }

  /** Puts an index together from regions that were kept without one: their borders are followed again. */
  static ofLabels(map: RegionMap & Pick<IndexedPage, 'seen'>): PageIndex {
    const { width, height, pixelsPerMm, labels } = map;
    const lines = linePixels(labels);
    const grown = growLabels(labels, width, height, Math.ceil(LINE_REACH_MM * pixelsPerMm), lines);
    return PageIndex.of({
      ...map,
      grown,
      ink: null,
      arcs: traceBorders(grown, width, height, BORDER_TOLERANCE_PX, lines),
    });
  }

  /**
   * Takes an index up again from its bytes.
   * @throws RangeError when they are no index, one of another edition, cut short, or do not agree with themselves
   */
  static from(data: ArrayBuffer): PageIndex {
    if (data.byteLength < TABLES_AT) throw new RangeError('These are too few bytes for the regions of a page.');
    const header = [...new Uint32Array(data, 0, HEADER_WORDS)] as Header;
    const [magic, version, width, height, regions, neighbours, doubts, alike, arcs, corners, seen, ink] = header;
    if (magic !== MAGIC) throw new RangeError('These bytes are not the regions of a page.');
    if (version < OLDEST || version > VERSION) {
      throw new RangeError(`These regions are kept in edition ${version}; this program reads edition ${VERSION}.`);
    }
    if (width < 1 || height < 1 || width > LONGEST || height > LONGEST || regions >= NO_REGION || ink > 1) {
      throw new RangeError('These regions are of no page: it has no size, or more regions than can be.');
    }
    const layout = layoutOf({ width, height, regions, neighbours, doubts, alike, arcs, corners, seen, ink });
    if (layout.bytes !== data.byteLength) {
      throw new RangeError('The regions of this page are cut short, or more follows them.');
    }
    const views = viewsOf(data, layout);
    refuseDisagreement(views, layout.counts, new Float64Array(data, RESOLUTION_AT, 1)[0]!);
    return new PageIndex(data, layout, readArcs(views, arcs));
  }

  private constructor(data: ArrayBuffer, layout: Layout, arcs: readonly Arc[]) {
    const { width, height } = layout.counts;
    const views = viewsOf(data, layout);
    const rows = <T>(table: Float64Array, columns: number, read: (row: Float64Array, k: number) => T) =>
      Array.from({ length: table.length / columns }, (_, k) => read(table.subarray(k * columns, (k + 1) * columns), k));
    this.data = data;
    this.width = width;
    this.height = height;
    this.pixelsPerMm = new Float64Array(data, RESOLUTION_AT, 1)[0]!;
    this.regions = rows(views.regions, REGION_COLUMNS, (row, k) => regionOfRow(row, k + 1));
    this.neighbours = rows(views.neighbours, BORDER_COLUMNS, borderOfRow);
    this.doubts = rows(views.doubts, DOUBT_COLUMNS, doubtOfRow);
    this.alike = readSets(views.alike);
    this.seen = seenOfRows(views.seen);
    const [reflects] = views.inkReflects;
    this.ink = reflects === undefined ? null : { width, height, share: views.inkShare, reflects };
    this.arcs = arcs;
    this.labels = views.labels;
    this.grown = views.grown;
  }

  /** The same with what was read from the page in colour, or with its printed lines, or without. */
  with(read: Partial<Pick<IndexedPage, 'seen' | 'ink'>>): PageIndex {
    const { width, height, pixelsPerMm, regions, neighbours, alike, doubts, arcs, labels, grown, seen, ink } = this;
    const size = { width, height, pixelsPerMm };
    return PageIndex.of({ ...size, regions, neighbours, alike, doubts, arcs, labels, grown, seen, ink, ...read });
  }

  /** Pixels from each pixel, or from every so many across and down, to the nearest line; 0 on lines. */
  distanceEvery(step: number): Float32Array {
    let distance = this.#distances.get(step);
    if (!distance) {
      this.#distances.set(step, (distance = distanceToLines(this.labels, this.width, this.height, step)));
    }
    return distance;
  }

  /** Pixels from each pixel to the nearest line, 0 on lines. */
  get distance(): Float32Array {
    return this.distanceEvery(1);
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
    const rings = ringsOfRegions(traceBorders(white, width, height, EDGE_TOLERANCE_PX), 1)[1]!;
    for (const ring of rings) {
      for (let k = 0; k < ring.length; k += 2) {
        ring[k]! += left;
        ring[k + 1]! += top;
      }
    }
    return rings;
  }
}
