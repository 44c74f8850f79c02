import { type Runs, findRuns } from './runs.ts';

/**
 * Exact Euclidean distance, in pixels, from every pixel's centre to the nearest pixel centre at which `stops` is not
 * 0; 0 on those. Source: A. Meijster, J. Roerdink, W. Hesselink, A general algorithm for computing distance
 * transforms in linear time (2000), run by run: a stop in the row hides all that lies behind it.
 * @param stops one byte a pixel; where it is 0 everywhere, every distance is width + height
 */
export function distanceTo(stops: Uint8Array, width: number, height: number): Float32Array {
  return distanceOnRuns(findRuns(stops, width, height, 0), width);
}

/**
 * The same distance, from the runs of pixels that are no stops: along each run the lower envelope of the parabolas
 * over it and over the stop on either side of it.
 * @param every look at every so many rows and columns alone
 * @returns 0 outside the runs
 */
export function distanceOnRuns(runs: Runs, width: number, every = 1): Float32Array {
  const height = runs.rowStart.length - 1;
  const across = Math.ceil(width / every);
  const out = new Float32Array(across * Math.ceil(height / every));
  if (runs.from.length === height && runs.from.every((from, r) => from === 0 && runs.to[r] === width - 1)) {
    return out.fill(width + height);
  }
  const vertical = verticalDistances(runs, width);
  // Of each parabola of the envelope: where it stands, from where on it is the lowest, and how high it stands. Along a
  // run, from the stop before it at 0 to the one behind it.
  const sites = new Int32Array(width + 2);
  const starts = new Int32Array(width + 2);
  const heights = new Int32Array(width + 2);
  for (let y = 0; y < height; y += every) {
    const row = y * width;
    for (let r = runs.rowStart[y]!; r < runs.rowStart[y + 1]!; r++) {
      const left = Math.max(0, runs.from[r]! - 1);
      const first = row + left;
      const last = row + Math.min(width - 1, runs.to[r]! + 1) - first;
      let top = 0;
      let site = (sites[0] = 0);
      let start = (starts[0] = 0);
      let high = (heights[0] = squareAt(vertical, first));
      const end = last * last + squareAt(vertical, first + last);
      for (let x = 1; x <= last; x++) {
        const up = squareAt(vertical, first + x);
        let apart = x - site;
        // Those that the new one is lower than already where they begin are hidden by it.
        while (high - up > apart * (x + site - 2 * start)) {
          if (--top < 0) break;
          site = sites[top]!;
          start = starts[top]!;
          high = heights[top]!;
          apart = x - site;
        }
        let begins = 0;
        if (top >= 0) {
          const gain = apart * (x + site) + up - high;
          // Hidden, too, are those that the one at the end of the run gets below before they would become the lowest.
          const hidden = x < last ? gain * (last - x) >= (end - x * x - up) * apart : gain >= 2 * apart * last;
          if (hidden) continue;
          begins = 1 + (apart === 1 ? gain >> 1 : Math.floor(gain / (2 * apart)));
        }
        site = sites[++top] = x;
        start = starts[top] = begins;
        high = heights[top] = up;
      }
      let x = last - ((left + last) % every);
      let o = (y / every) * across + (left + x) / every;
      for (; top >= 0; top--) {
        const [begins, site, high] = [starts[top]!, sites[top]!, heights[top]!];
        for (; x >= begins; x -= every) {
          const off = x - site;
          out[o--] = Math.sqrt(off * off + high);
        }
      }
    }
  }
  return out;
}

function squareAt(vertical: Uint16Array, i: number): number {
  const rows = vertical[i]!;
  return rows * rows;
}

/**
 * Pixels from each pixel of a labelled page to the nearest line; 0 on lines, which have label 0.
 * @param every look from every so many rows and columns alone
 */
export function distanceToLines(labels: Uint16Array, width: number, height: number, every = 1): Float32Array {
  const lines = new Uint8Array(labels.length);
  for (let i = 0; i < labels.length; i++) lines[i] = labels[i] === 0 ? 1 : 0;
  return distanceOnRuns(findRuns(lines, width, height, 0), width, every);
}

/**
 * Rows from each pixel of the runs to the nearest pixel outside them straight above or below it; 0 outside them, and
 * width + height or more where there is none.
 */
export function verticalDistances({ from, to, rowStart }: Runs, width: number): Uint16Array {
  const height = rowStart.length - 1;
  const far = Math.min(MOST_ROWS, width + height);
  const g = new Uint16Array(width * height);
  const pairs = new Uint32Array(g.buffer, 0, g.length >> 1);
  // Two columns of a page of even width lie in one word, all the way down.
  const paired = width % 2 === 0;
  for (let r = 0; r < rowStart[1]!; r++) g.fill(far, from[r], to[r]! + 1);
  for (let y = 1; y < height; y++) {
    for (let r = rowStart[y]!; r < rowStart[y + 1]!; r++) {
      let i = y * width + from[r]!;
      const end = y * width + to[r]!;
      if (paired) {
        if (i & 1 && i <= end) g[i] = g[i++ - width]! + 1;
        for (; i < end; i += 2) pairs[i >> 1] = pairs[(i - width) >> 1]! + ONE_EACH;
      }
      for (; i <= end; i++) g[i] = g[i - width]! + 1;
    }
  }
  for (let y = height - 2; y >= 0; y--) {
    for (let r = rowStart[y]!; r < rowStart[y + 1]!; r++) {
      let i = y * width + from[r]!;
      const end = y * width + to[r]!;
      if (paired) {
        if (i & 1 && i <= end) g[i] = Math.min(g[i]!, g[i++ + width]! + 1);
        for (; i < end; i += 2) pairs[i >> 1] = lesserEach(pairs[i >> 1]!, pairs[(i + width) >> 1]! + ONE_EACH);
      }
      for (; i <= end; i++) g[i] = Math.min(g[i]!, g[i + width]! + 1);
    }
  }
  return g;
}

/** Distances stay below half of what 16 bits hold, so that pairs can be compared without one running into the other. */
const MOST_ROWS = 32_767;
const ONE_EACH = 0x0001_0001;

/** The lesser of each half of two words, halves below 32,768 + 1. Source: L. Lamport, Multiple byte processing (1975). */
function lesserEach(a: number, b: number): number {
  const notLess = (((a | 0x8000_8000) - b) >>> 15) & ONE_EACH;
  const takeB = (notLess << 16) - notLess;
  return (b & takeB) | (a & ~takeB);
}
