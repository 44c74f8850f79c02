import { rowSquares, verticalDistances } from './distance.ts';
import { type PointMm, type Region } from './region-map.ts';
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
 * @param ink 1 where there is ink
 * @param runs the runs of white
 * @param idOf region of each run, 1..count; 0 and NO_REGION are passed over
 * @returns measures in order of id
 */
export function measureRegions(
  ink: Uint8Array,
  runs: Runs,
  idOf: Uint16Array,
  size: { width: number; height: number; pixelsPerMm: number },
  count: number,
): WhiteMeasures[] {
  const { width, height, pixelsPerMm } = size;
  const sums = newSums(count);
  const vertical = verticalDistances(ink, width, height);
  const squares = rowSquares(width);
  for (let y = 0; y < height; y++) {
    for (let r = runs.rowStart[y]; r < runs.rowStart[y + 1]; r++) {
      const id = idOf[r];
      if (id === 0 || id > count) continue;
      const [from, to] = [runs.from[r], runs.to[r]];
      addRun(sums, id, y, from, to);
      if (!mayWiden(sums.widest[id], reachOf(from, to, width), vertical, y * width, from, to)) continue;
      const square = squares(vertical, y * width, from, to);
      let widest = sums.widest[id];
      for (let x = from; x <= to; x++) {
        if (square[x] <= widest) continue;
        widest = square[x];
        sums.poleX[id] = x;
        sums.poleY[id] = y;
      }
      sums.widest[id] = widest;
    }
  }
  return Array.from({ length: count }, (_, i) => toMeasures(i + 1, sums, pixelsPerMm));
}

/** How far from ink a place in a run can lie: ink ends the run on either side, unless the page does. */
function reachOf(from: number, to: number, width: number): number {
  const ends = Number(from > 0) + Number(to < width - 1);
  return ends === 2 ? (to - from + 2) / 2 : ends === 1 ? to - from + 1 : Infinity;
}

/** Whether a run can hold a wider place than is known: none lies farther from ink than `reach`, nor than the ink above or below it. */
function mayWiden(
  widest: number,
  reach: number,
  vertical: Uint16Array,
  row: number,
  from: number,
  to: number,
): boolean {
  if (reach * reach <= widest) return false;
  const known = Math.sqrt(widest);
  for (let x = from; x <= to; x++) if (vertical[row + x] > known) return true;
  return false;
}

function newSums(count: number): Sums {
  const sum = () => new Float64Array(count + 1);
  const box = new Int32Array(4 * (count + 1));
  for (let id = 0; id <= count; id++) box[4 * id] = box[4 * id + 1] = 2 ** 30;
  return {
    ...{ n: sum(), x: sum(), y: sum(), xx: sum(), yy: sum(), xy: sum(), box },
    ...{ widest: sum(), poleX: new Int32Array(count + 1), poleY: new Int32Array(count + 1) },
  };
}

function addRun(s: Sums, id: number, y: number, from: number, to: number): void {
  const n = to - from + 1;
  const x = (n * (from + to)) / 2;
  s.n[id] += n;
  s.x[id] += x;
  s.y[id] += n * y;
  // The sum of the squares from 0 to m is m (m + 1) (2 m + 1) / 6.
  s.xx[id] += (to * (to + 1) * (2 * to + 1) - (from - 1) * from * (2 * from - 1)) / 6;
  s.yy[id] += n * y * y;
  s.xy[id] += x * y;
  const b = 4 * id;
  if (from < s.box[b]) s.box[b] = from;
  if (y < s.box[b + 1]) s.box[b + 1] = y;
  if (to > s.box[b + 2]) s.box[b + 2] = to;
  s.box[b + 3] = y;
}

function toMeasures(id: number, s: Sums, pixelsPerMm: number): WhiteMeasures {
  const n = s.n[id];
  const [mx, my] = [s.x[id] / n, s.y[id] / n];
  const vx = s.xx[id] / n - mx * mx;
  const vy = s.yy[id] / n - my * my;
  const axis = (Math.atan2(2 * (s.xy[id] / n - mx * my), vx - vy) * 90) / Math.PI;
  const point = (x: number, y: number): PointMm => ({ x: (x + 0.5) / pixelsPerMm, y: (y + 0.5) / pixelsPerMm });
  const [left, top, right, bottom] = s.box.subarray(4 * id, 4 * id + 4);
  return {
    id,
    areaMm2: n / pixelsPerMm ** 2,
    // The circle reaches from the pole's centre to half a pixel before the nearest ink centre.
    usableWidthMm: (2 * Math.max(0.5, Math.sqrt(s.widest[id]) - 0.5)) / pixelsPerMm,
    pole: point(s.poleX[id], s.poleY[id]),
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
