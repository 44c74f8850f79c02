/**
 * Exact Euclidean distance, in pixels, from every pixel's centre to the nearest pixel centre at which `stops` is not
 * 0; 0 on those. Source: A. Meijster, J. Roerdink, W. Hesselink, A general algorithm for computing distance
 * transforms in linear time (2000).
 * @param stops one byte a pixel; where it is 0 everywhere, every distance is width + height
 */
export function distanceTo(stops: Uint8Array, width: number, height: number): Float32Array {
  const far = width + height;
  const vertical = verticalDistances(stops, width, height, far);
  const out = new Float32Array(width * height);
  const site = new Int32Array(width);
  const start = new Int32Array(width);
  for (let y = 0; y < height; y++) {
    const row = y * width;
    let q = 0;
    site[0] = 0;
    start[0] = 0;
    for (let x = 1; x < width; x++) {
      const g = vertical[row + x];
      while (q >= 0 && at(start[q], site[q], vertical[row + site[q]]) > at(start[q], x, g)) q--;
      if (q < 0) {
        q = 0;
        site[0] = x;
        continue;
      }
      const gq = vertical[row + site[q]];
      const from = 1 + Math.floor((x * x - site[q] * site[q] + g * g - gq * gq) / (2 * (x - site[q])));
      if (from < width) {
        q++;
        site[q] = x;
        start[q] = from;
      }
    }
    for (let x = width - 1; x >= 0; x--) {
      out[row + x] = Math.min(far, Math.sqrt(at(x, site[q], vertical[row + site[q]])));
      if (x === start[q]) q--;
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

function at(x: number, site: number, g: number): number {
  return (x - site) * (x - site) + g * g;
}

function verticalDistances(stops: Uint8Array, width: number, height: number, far: number): Int32Array {
  const g = new Int32Array(width * height);
  for (let x = 0; x < width; x++) g[x] = stops[x] ? 0 : far;
  for (let i = width; i < g.length; i++) g[i] = stops[i] ? 0 : Math.min(far, g[i - width] + 1);
  for (let i = g.length - width - 1; i >= 0; i--) if (g[i + width] < g[i]) g[i] = g[i + width] + 1;
  return g;
}
