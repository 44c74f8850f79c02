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
 * The same distance, from the runs of pixels that are no stops.
 * @returns 0 outside the runs
 */
export function distanceOnRuns(runs: Runs, width: number): Float32Array {
  const height = runs.rowStart.length - 1;
  const vertical = verticalDistances(runs, width);
  const squares = rowSquares(width);
  const out = new Float32Array(width * height);
  const far = width + height;
  for (let y = 0; y < height; y++) {
    const row = y * width;
    for (let r = runs.rowStart[y]; r < runs.rowStart[y + 1]; r++) {
      const [from, to] = [runs.from[r], runs.to[r]];
      const square = squares(vertical, row, from, to);
      for (let x = from; x <= to; x++) out[row + x] = Math.min(far, Math.sqrt(square[x]));
    }
  }
  return out;
}

/** Pixels from each pixel of a labelled page to the nearest line; 0 on lines, which have label 0. */
export function distanceToLines(labels: Uint16Array, width: number, height: number): Float32Array {
  const lines = new Uint8Array(labels.length);
  for (let i = 0; i < labels.length; i++) lines[i] = labels[i] === 0 ? 1 : 0;
  return distanceTo(lines, width, height);
}

/**
 * Rows from each pixel of the runs to the nearest pixel outside them straight above or below it; 0 outside them, and
 * width + height or more where there is none.
 */
export function verticalDistances({ from, to, rowStart }: Runs, width: number): Uint16Array {
  const height = rowStart.length - 1;
  const far = Math.min(32_767, width + height);
  const g = new Uint16Array(width * height);
  for (let r = 0; r < rowStart[1]; r++) g.fill(far, from[r], to[r] + 1);
  for (let y = 1; y < height; y++) {
    const row = y * width;
    for (let r = rowStart[y]; r < rowStart[y + 1]; r++) {
      for (let i = row + from[r], end = row + to[r]; i <= end; i++) g[i] = g[i - width] + 1;
    }
  }
  for (let y = height - 2; y >= 0; y--) {
    const row = y * width;
    for (let r = rowStart[y]; r < rowStart[y + 1]; r++) {
      for (let i = row + from[r], end = row + to[r]; i <= end; i++) {
        const below = g[i + width] + 1;
        if (below < g[i]) g[i] = below;
      }
    }
  }
  return g;
}

/**
 * Makes the function that finds the squared distances along one run of pixels without a stop: the lower envelope of
 * the parabolas over the run and the stop on either side of it.
 * @returns a function of the vertical distances, the row's first index and the run's first and last x; it answers with
 *   an array, used again at the next call, that holds the squares at those x
 */
function rowSquares(width: number) {
  const site = new Int32Array(width + 2);
  const start = new Int32Array(width + 2);
  const height = new Float64Array(width + 2);
  const squares = new Float64Array(width);
  return (vertical: Uint16Array, row: number, from: number, to: number): Float64Array => {
    const first = Math.max(0, from - 1);
    const last = Math.min(width - 1, to + 1);
    let q = 0;
    site[0] = first;
    start[0] = first;
    height[0] = vertical[row + first] ** 2;
    for (let x = first + 1; x <= last; x++) {
      const g = vertical[row + x];
      const gg = g * g;
      while (q >= 0) {
        const s = start[q];
        const a = s - site[q];
        const b = s - x;
        if (a * a + height[q] <= b * b + gg) break;
        q--;
      }
      if (q < 0) {
        q = 0;
        site[0] = x;
        start[0] = first;
        height[0] = gg;
        continue;
      }
      const begins = 1 + Math.floor((x * x - site[q] * site[q] + gg - height[q]) / (2 * (x - site[q])));
      if (begins <= last) {
        q++;
        site[q] = x;
        start[q] = begins;
        height[q] = gg;
      }
    }
    for (let x = last; x >= first; x--) {
      const a = x - site[q];
      squares[x] = a * a + height[q];
      if (x === start[q]) q--;
    }
    return squares;
  };
}
