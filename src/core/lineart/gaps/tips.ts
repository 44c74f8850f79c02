import { CROSSINGS, around } from './thin.ts';

/** The free end of a line. */
export interface Tip {
  /** Last pixel of the thinned line. */
  x: number;
  y: number;
  /** Where the ink itself ends, pixels. */
  endX: number;
  endY: number;
  /** Unit direction in which the line would go on. */
  dx: number;
  dy: number;
  /** How thick the line is, pixels. */
  thick: number;
  /** Whether it thickens fast behind its end: the point where two lines run together, not the end of one. */
  tapered: boolean;
  /** How far it can be followed back, pixels, up to FOLLOWED_PX. */
  length: number;
  /** Whether the way back came to another free end: a stroke that hangs on nothing. */
  loose: boolean;
}

/** How far a line is followed back from its end, pixels. */
const FOLLOWED_PX = 60;
/** A line that is so many times as thick seven pixels behind its end is tapered. */
const TAPER = 2.2;
/** ... unless the end itself is this thick, pixels: a stub. */
const BLUNT = 2.5;
/** The direction of an end is read over this many pixels. */
const LOOK_BACK = 12;

/**
 * The free ends of thinned lines, without the whiskers that thinning leaves on thick ones.
 * @param lines thinned ink
 * @param onLines index of every pixel of it
 * @param ink the ink itself
 */
export function findTips(
  lines: Uint8Array,
  onLines: Int32Array,
  ink: Uint8Array,
  width: number,
  height: number,
): Tip[] {
  const tips: Tip[] = [];
  for (const i of onLines) {
    if (CROSSINGS[around(lines, i, width)] !== 1) continue;
    const { path, loose } = followBack(lines, i, width);
    const back = path[Math.min(path.length - 1, LOOK_BACK)];
    if (path.length < 4) continue;
    const place = (k: number) => path[Math.min(path.length - 1, k)];
    const half = path.length >> 1;
    const thick = Math.min(...[2, 4, 6].map((k) => thickness(ink, place(Math.min(half, k)), width, height)));
    if (path.length < thick / 2 + 3) continue;
    const end = thickness(ink, place(1), width, height);
    const tapered = end < BLUNT && thickness(ink, place(7), width, height) >= TAPER * end;
    const near = path[Math.min(path.length - 2, 2)];
    const [vx, vy] = [(near % width) - (back % width), Math.floor(near / width) - Math.floor(back / width)];
    const norm = Math.hypot(vx, vy);
    if (norm === 0) continue;
    const [x, y, dx, dy] = [i % width, Math.floor(i / width), vx / norm, vy / norm];
    let [endX, endY] = [x, y];
    for (let t = 1; t <= thick; t++) {
      const [px, py] = [Math.round(x + t * dx), Math.round(y + t * dy)];
      if (px < 0 || py < 0 || px >= width || py >= height || !ink[py * width + px]) break;
      [endX, endY] = [px, py];
    }
    tips.push({ x, y, endX, endY, dx, dy, thick, tapered, length: path.length, loose });
  }
  return tips;
}

function followBack(lines: Uint8Array, start: number, width: number): { path: number[]; loose: boolean } {
  const beside = [-width, 1, width, -1, -width + 1, width + 1, width - 1, -width - 1];
  const path = [start];
  const walked = new Set(path);
  while (path.length < FOLLOWED_PX) {
    const here = path[path.length - 1];
    const crossings = CROSSINGS[around(lines, here, width)];
    if (path.length > 1 && crossings > 2) return { path, loose: false };
    const next = beside.map((step) => here + step).find((j) => lines[j] && !walked.has(j));
    if (next === undefined) return { path, loose: crossings === 1 && path.length > 1 };
    walked.add(next);
    path.push(next);
  }
  return { path, loose: false };
}

/** Twice the distance from a pixel of ink to the nearest white. */
export function thickness(ink: Uint8Array, i: number, width: number, height: number): number {
  const x = i % width;
  const y = (i - x) / width;
  // Ring by ring of pixels at the same number of steps; a white one so near ends the search.
  let nearest = MOST_THICK ** 2;
  for (let r = 1; r < MOST_THICK / 2 && r * r < nearest; r++) {
    for (let v = -r; v <= r; v++) {
      if (y + v < 0 || y + v >= height) continue;
      for (let u = -r; u <= r; u += Math.abs(v) === r ? 1 : 2 * r) {
        if (x + u >= 0 && x + u < width && !ink[i + v * width + u]) nearest = Math.min(nearest, u * u + v * v);
      }
    }
  }
  return nearest < (MOST_THICK / 2) ** 2 ? 2 * Math.sqrt(nearest) - 1 : MOST_THICK;
}

/** Thicker ink is told as this thick, pixels. */
const MOST_THICK = 48;
