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
 * @returns 0 outside the runs
 */
export function distanceOnRuns(runs: Runs, width: number): Float32Array {
  const height = runs.rowStart.length - 1;
  const out = new Float32Array(width * height);
  if (runs.from.length === height && runs.from.every((from, r) => from === 0 && runs.to[r] === width - 1)) {
    return out.fill(width + height);
  }
  const vertical = verticalDistances(runs, width);
  // Of each parabola of the envelope: where it stands, from where on it is the lowest, and how high it stands.
  const sites = new Int32Array(width + 2);
  const starts = new Int32Array(width + 2);
  const heights = new Int32Array(width + 2);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    for (let r = runs.rowStart[y]; r < runs.rowStart[y + 1]; r++) {
      const from = runs.from[r];
      const first = Math.max(0, from - 1);
      const last = Math.min(width - 1, runs.to[r] + 1);
      let top = 0;
      let site = (sites[0] = first);
      let start = (starts[0] = first);
      const firstUp = vertical[row + first];
      let high = (heights[0] = firstUp * firstUp);
      const lastUp = vertical[row + last];
      const end = last * last + lastUp * lastUp;
      for (let x = first + 1; x <= last; x++) {
        const rows = vertical[row + x];
        const up = rows * rows;
        // Those that the new one is lower than already where they begin are hidden by it.
        for (;;) {
          const [toOld, toNew] = [start - site, start - x];
          if (toOld * toOld + high <= toNew * toNew + up) break;
          if (--top < 0) break;
          site = sites[top];
          start = starts[top];
          high = heights[top];
        }
        let begins = first;
        if (top >= 0) {
          const gain = x * x - site * site + up - high;
          // Hidden, too, are those that the one at the end of the run gets below before they would become the lowest.
          const hidden =
            x < last ? gain * (last - x) >= (end - x * x - up) * (x - site) : gain >= 2 * (x - site) * last;
          if (hidden) continue;
          begins = 1 + Math.floor(gain / (2 * (x - site)));
        }
        site = sites[++top] = x;
        start = starts[top] = begins;
        high = heights[top] = up;
      }
      for (let x = last; top >= 0; top--) {
        const until = Math.max(from, starts[top]);
        const [site, high] = [sites[top], heights[top]];
        for (; x >= until; x--) {
          const off = x - site;
          out[row + x] = Math.sqrt(off * off + high);
        }
      }
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
