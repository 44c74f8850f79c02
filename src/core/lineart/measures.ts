import { verticalDistances } from './distance.ts';
import { type PointMm } from '../primitives/index.ts';
import type { Region } from './schemas.ts';
import { type Runs } from './runs.ts';

/** What is summed up over the white runs of each region; index 0 of each array is unused. */
interface Sums {
  n: Float64Array;
  x: Float64Array;
  y: Float64Array;
  xx: Float64Array;
  yy: Float64Array;
  xy: Float64Array;
  /** left, top, right, bottom at 4 x region, pixels, inclusive. */
  box: Int32Array;
  /** Largest squared distance to ink, and where. */
  widest: Float64Array;
  poleX: Int32Array;
  poleY: Int32Array;
}

/** A region as far as its white part alone tells; its outline gives the rest. */
export type WhiteMeasures = Omit<Region, 'lengthMm' | 'breadthMm' | 'holes' | 'shape'>;

/**
 * Measures the white part of every region in one go over its runs.
 * @param runs the runs of white
 * @param idOf region of each run, 1..count; 0 and NO_REGION are passed over
 * @returns measures in order of id
 */
export function measureRegions(
  runs: Runs,
  idOf: Uint16Array,
  size: { width: number; pixelsPerMm: number },
  count: number,
): WhiteMeasures[] {
  const { width, pixelsPerMm } = size;
  const sums = newSums(count);
  const vertical = verticalDistances(runs, width);
  const { order, start } = runsByRegion(idOf, count);
  const rowOf = new Int32Array(idOf.length);
  for (let y = 0; y + 1 < runs.rowStart.length; y++) rowOf.fill(y, runs.rowStart[y], runs.rowStart[y + 1]);
  for (let id = 1; id <= count; id++) {
    const [first, stop] = [start[id]!, start[id + 1]!];
    for (let k = first; k < stop; k++) addRun(sums, id, rowOf[order[k]!]!, runs.from[order[k]!]!, runs.to[order[k]!]!);
    // From the middle outwards: the widest place is found soon, and most of the rest then cannot be wider.
    const middle = (first + stop) >> 1;
    for (let off = 0; off <= stop - first; off++) {
      const k = middle + (off & 1 ? -(off + 1) >> 1 : off >> 1);
      if (k < first || k >= stop) continue;
      const run = order[k]!;
      widen(sums, id, vertical, width, rowOf[run]!, runs.from[run]!, runs.to[run]!);
    }
  }
  return Array.from({ length: count }, (_, i) => toMeasures(i + 1, sums, pixelsPerMm));
}

/** The runs of each region in reading order: those of region `id` are `order[start[id]]` to before `order[start[id + 1]]`. */
function runsByRegion(idOf: Uint16Array, count: number): { order: Int32Array; start: Int32Array } {
  const start = new Int32Array(count + 2);
  for (const id of idOf) if (id > 0 && id <= count) start[id + 1]!++;
  for (let id = 1; id <= count + 1; id++) start[id]! += start[id - 1]!;
  const next = start.slice();
  const order = new Int32Array(start[count + 1]!);
  for (let run = 0; run < idOf.length; run++) {
    const id = idOf[run]!;
    if (id > 0 && id <= count) order[next[id]!++] = run;
  }
  return { order, start };
}

/** Looks along a run for a place farther from ink than any known in its region. */
function widen(s: Sums, id: number, vertical: Uint16Array, width: number, y: number, from: number, to: number): void {
  let widest = s.widest[id]!;
  let known = Math.sqrt(widest);
  const row = y * width;
  // Ink ends the run on either side, unless the page does.
  let x = from > 0 ? Math.max(from, Math.floor(from + known)) : from;
  for (; x <= to; x++) {
    if (to < width - 1 && to + 1 - x <= known) return;
    if (vertical[row + x]! <= known) continue;
    const square = squareToInk(vertical, row, width, x, widest);
    if (square > widest) {
      widest = s.widest[id] = square;
      known = Math.sqrt(widest);
      s.poleX[id] = x;
      s.poleY[id] = y;
    } else {
      // Distance to ink changes by no more than the way gone.
      x += Math.floor(known - Math.sqrt(square));
    }
  }
}

/**
 * Squared distance from a pixel to the nearest ink, pixels; as soon as it is known to be no more than `enough`, any
 * bound from above that is no more than it.
 */
function squareToInk(vertical: Uint16Array, row: number, width: number, x: number, enough: number): number {
  let square = vertical[row + x]! ** 2;
  const most = Math.max(x, width - 1 - x);
  for (let off = 1; off <= most && off * off < square && square > enough; off++) {
    if (off <= x) square = Math.min(square, off * off + vertical[row + x - off]! ** 2);
    if (x + off < width) square = Math.min(square, off * off + vertical[row + x + off]! ** 2);
  }
  return square;
}

function newSums(count: number): Sums {
  const sum = () => new Float64Array(count + 1);
  const box = new Int32Array(4 * (count + 1));
  for (let id = 0; id <= count; id++) box[4 * id] = box[4 * id + 1] = 2 ** 30;
  return {
    n: sum(),
    x: sum(),
    y: sum(),
    xx: sum(),
    yy: sum(),
    xy: sum(),
    box,
    widest: sum(),
    poleX: new Int32Array(count + 1),
    poleY: new Int32Array(count + 1),
  };
}

function addRun(s: Sums, id: number, y: number, from: number, to: number): void {
  const n = to - from + 1;
  const x = (n * (from + to)) / 2;
  s.n[id]! += n;
  s.x[id]! += x;
  s.y[id]! += n * y;
  // The sum of the squares from 0 to m is m (m + 1) (2 m + 1) / 6.
  s.xx[id]! += (to * (to + 1) * (2 * to + 1) - (from - 1) * from * (2 * from - 1)) / 6;
  s.yy[id]! += n * y * y;
  s.xy[id]! += x * y;
  const b = 4 * id;
  if (from < s.box[b]!) s.box[b] = from;
  if (y < s.box[b + 1]!) s.box[b + 1] = y;
  if (to > s.box[b + 2]!) s.box[b + 2] = to;
  s.box[b + 3] = y;
}

function toMeasures(id: number, s: Sums, pixelsPerMm: number): WhiteMeasures {
  const n = s.n[id]!;
  const [mx, my] = [s.x[id]! / n, s.y[id]! / n];
  const vx = s.xx[id]! / n - mx * mx;
  const vy = s.yy[id]! / n - my * my;
  const axis = (Math.atan2(2 * (s.xy[id]! / n - mx * my), vx - vy) * 90) / Math.PI;
  const point = (x: number, y: number): PointMm => ({ x: (x + 0.5) / pixelsPerMm, y: (y + 0.5) / pixelsPerMm });
  const [left, top, right, bottom] = [...s.box.subarray(4 * id, 4 * id + 4)] as [number, number, number, number];
  return {
    id,
    areaMm2: n / pixelsPerMm ** 2,
    // The circle reaches from the pole's centre to half a pixel before the nearest ink centre.
    usableWidthMm: (2 * Math.max(0.5, Math.sqrt(s.widest[id]!) - 0.5)) / pixelsPerMm,
    pole: point(s.poleX[id]!, s.poleY[id]!),
    centroid: point(mx, my),
    box: {
      left: left / pixelsPerMm,
      top: top / pixelsPerMm,
      right: (right + 1) / pixelsPerMm,
      bottom: (bottom + 1) / pixelsPerMm,
    },
    axisDegrees: axis < 0 ? axis + 180 : axis,
  };
}
