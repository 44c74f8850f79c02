/**
 * Thins ink to lines one pixel wide that keep its connections and ends.
 * Source: T. Zhang, C. Suen, A fast parallel algorithm for thinning digital patterns (1984), over the list of pixels
 * that are still ink rather than the whole page.
 * @param ink 1 where there is ink; not changed. Ink on the outermost pixels of the page is left out
 * @returns 1 on the thin lines
 */
export function thin(ink: Uint8Array, width: number, height: number): Uint8Array {
  const lines = ink.slice();
  lines.fill(0, 0, width);
  lines.fill(0, (height - 1) * width);
  for (let y = 0; y < height; y++) lines[y * width] = lines[y * width + width - 1] = 0;
  // Only pixels at the edge of the ink can go; when one goes, those beside it come to lie at the edge.
  let edge = edgeOf(lines, width);
  let count = edge.length;
  let next = new Int32Array(4 * count + 16);
  let gone = new Int32Array(count + 8);
  const listed = new Uint8Array(lines.length);
  while (count > 0) {
    let removed = 0;
    for (const goes of GOES) {
      const first = removed;
      for (let k = 0; k < count; k++) {
        if (lines[edge[k]] && goes[around(lines, edge[k], width)]) gone[removed++] = edge[k];
      }
      for (let k = first; k < removed; k++) lines[gone[k]] = 0;
    }
    let listing = 0;
    for (let k = 0; k < removed; k++) {
      for (let v = -width; v <= width; v += width) {
        for (let j = gone[k] + v - 1; j <= gone[k] + v + 1; j++) {
          if (!lines[j] || listed[j]) continue;
          listed[j] = 1;
          if (listing === next.length) next = longer(next);
          next[listing++] = j;
        }
      }
    }
    for (let k = 0; k < listing; k++) listed[next[k]] = 0;
    [edge, next] = [next, edge];
    count = listing;
    if (gone.length < count) gone = new Int32Array(count);
  }
  return lines;
}

function longer(list: Int32Array): Int32Array<ArrayBuffer> {
  const more = new Int32Array(2 * list.length);
  more.set(list);
  return more;
}

function edgeOf(lines: Uint8Array, width: number): Int32Array<ArrayBuffer> {
  let edge = new Int32Array(4096);
  let n = 0;
  for (let i = lines.indexOf(1); i >= 0;) {
    if (!lines[i - 1] || !lines[i + 1] || !lines[i - width] || !lines[i + width]) {
      if (n === edge.length) edge = longer(edge);
      edge[n++] = i;
    }
    i++;
    if (!lines[i]) i = lines.indexOf(1, i);
  }
  return edge.slice(0, n);
}

/** The eight pixels around one as bits, clockwise from the one above: N, NE, E, SE, S, SW, W, NW. */
export function around(lines: Uint8Array, i: number, width: number): number {
  return (
    lines[i - width] |
    (lines[i - width + 1] << 1) |
    (lines[i + 1] << 2) |
    (lines[i + width + 1] << 3) |
    (lines[i + width] << 4) |
    (lines[i + width - 1] << 5) |
    (lines[i - 1] << 6) |
    (lines[i - width - 1] << 7)
  );
}

/** How often, going round a pixel, white turns to ink: 1 at the end of a line, 2 along it, 3 and more where lines meet. */
export const CROSSINGS = Uint8Array.from({ length: 256 }, (_, bits) => {
  let count = 0;
  for (let k = 0; k < 8; k++) if (!((bits >> k) & 1) && (bits >> ((k + 1) % 8)) & 1) count++;
  return count;
});

/** Whether a pixel with these around it goes, in the first half of a round and in the second. */
const GOES = [0, 1].map((phase) =>
  Uint8Array.from({ length: 256 }, (_, bits) => {
    const ink = [...Array(8).keys()].reduce((sum, k) => sum + ((bits >> k) & 1), 0);
    if (ink < 2 || ink > 6 || CROSSINGS[bits] !== 1) return 0;
    const has = (k: number) => (bits >> k) & 1;
    const [n, e, s, w] = [has(0), has(2), has(4), has(6)];
    return phase === 0 ? Number(!(n && e && s) && !(e && s && w)) : Number(!(n && e && w) && !(n && s && w));
  }),
);
