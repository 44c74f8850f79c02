import { doubled } from './doubled.ts';
import { nextSet, wordsOf } from './mask-scan.ts';

/** Stretches of equal pixels, row by row. */
export interface Runs {
  /** First and last x of each run. */
  from: Int32Array;
  to: Int32Array;
  /** Index of each row's first run; one more than height. */
  rowStart: Int32Array;
}

/** Runs joined into connected parts. */
export interface Parts {
  /** Part of each run: 1..count in reading order of each part's first pixel. */
  of: Int32Array;
  count: number;
  /** Pixels of each part; index 0 unused. */
  areas: Float64Array;
  /** x0, y0, x1, y1 (inclusive, pixels) of each part at 4 x part. */
  boxes: Int32Array;
}

/**
 * The runs of one value in a mask of zeros and ones.
 * @param mask one byte a pixel, 0 or 1
 */
export function findRuns(mask: Uint8Array, width: number, height: number, value: 0 | 1): Runs {
  let from = new Int32Array(4096);
  let to = new Int32Array(4096);
  const rowStart = new Int32Array(height + 1);
  let n = 0;
  // Paper runs far, so the next ink is looked for by words, and once only where it lies rows ahead.
  const words = wordsOf(mask);
  let ink = nextSet(mask, words, 0);
  for (let y = 0; y < height; y++) {
    rowStart[y] = n;
    const row = y * width;
    const rowEnd = row + width;
    for (let at = row; at < rowEnd;) {
      const paperEnd = Math.min(rowEnd, ink);
      let inkEnd = paperEnd;
      while (inkEnd < rowEnd && mask[inkEnd] === 1) inkEnd++;
      const [first, stop] = value === 0 ? [at, paperEnd] : [paperEnd, inkEnd];
      if (first < stop) {
        if (n === from.length) {
          from = doubled(from);
          to = doubled(to);
        }
        from[n] = first - row;
        to[n++] = stop - 1 - row;
      }
      at = inkEnd;
      if (ink < inkEnd) ink = nextSet(mask, words, inkEnd);
    }
  }
  rowStart[height] = n;
  return { from: from.subarray(0, n), to: to.subarray(0, n), rowStart };
}

/**
 * Joins runs that touch into connected parts by union-find.
 * Source: L. He, Y. Chao, K. Suzuki, A run-based two-scan labeling algorithm (2008).
 * @param connectivity 4 (edges) or 8 (edges and corners)
 */
export function joinRuns(runs: Runs, connectivity: 4 | 8): Parts {
  const { from, to, rowStart } = runs;
  const height = rowStart.length - 1;
  const parent = linked(runs, connectivity === 8 ? 1 : 0);
  const of = new Int32Array(from.length);
  let count = 0;
  for (let i = 0; i < from.length; i++) of[i] = parent[i] === i ? ++count : of[root(parent, i)]!;
  const areas = new Float64Array(count + 1);
  const boxes = new Int32Array(4 * (count + 1));
  for (let y = 0; y < height; y++) {
    for (let i = rowStart[y]!; i < rowStart[y + 1]!; i++) {
      const part = of[i]!;
      const b = 4 * part;
      if (areas[part] === 0) {
        boxes[b] = from[i]!;
        boxes[b + 1] = y;
        boxes[b + 2] = to[i]!;
      } else {
        if (from[i]! < boxes[b]!) boxes[b] = from[i]!;
        if (to[i]! > boxes[b + 2]!) boxes[b + 2] = to[i]!;
      }
      boxes[b + 3] = y;
      areas[part]! += to[i]! - from[i]! + 1;
    }
  }
  return { of, count, areas, boxes };
}

function linked({ from, to, rowStart }: Runs, slack: 0 | 1): Int32Array {
  const parent = new Int32Array(from.length);
  for (let i = 0; i < parent.length; i++) parent[i] = i;
  for (let y = 1; y < rowStart.length - 1; y++) {
    let above = rowStart[y - 1]!;
    for (let here = rowStart[y]!; here < rowStart[y + 1]!; here++) {
      while (above < rowStart[y]! && to[above]! < from[here]! - slack) above++;
      for (let a = above; a < rowStart[y]! && from[a]! <= to[here]! + slack; a++) join(parent, a, here);
    }
  }
  return parent;
}

function root(parent: Int32Array, i: number): number {
  while (parent[i] !== i) i = parent[i] = parent[parent[i]!]!;
  return i;
}

/** The first run of a part is its root, so that parts are numbered in reading order. */
function join(parent: Int32Array, a: number, b: number): void {
  const ra = root(parent, a);
  const rb = root(parent, b);
  if (ra < rb) parent[rb] = ra;
  else parent[ra] = rb;
}
