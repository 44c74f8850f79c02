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
const TAPER = 3;
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
    const back = path[Math.min(path.length - 1, LOOK_BACK)]!;
    if (path.length < 3) continue;
    const half = path.length >> 1;
    let thick = MOST_THICK;
    for (let k = 2; k <= 6; k += 2) thick = Math.min(thick, thickness(ink, path[Math.min(half, k)]!, width, height));
    if (path.length < thick / 2 + 2) continue;
    const end = thickness(ink, path[1]!, width, height);
    const behind = path[Math.min(path.length - 1, 7)]!;
    const tapered = end < BLUNT && thickness(ink, behind, width, height) >= TAPER * end;
    const near = path[Math.min(path.length - 2, 2)]!;
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
    const here = path[path.length - 1]!;
    const crossings = CROSSINGS[around(lines, here, width)]!;
    if (path.length > 1 && crossings > 2) return { path, loose: false };
    const next = beside.map((step) => here + step).find((j) => lines[j] && !walked.has(j));
    if (next === undefined) return { path, loose: crossings === 1 && path.length > 1 };
    walked.add(next);
    path.push(next);
  }
  return { path, loose: false };
}

/** How thick ink is at one of its pixels: the shortest way across it, pixels, up to 48. */
export function thickness(ink: Uint8Array, i: number, width: number, height: number): number {
  const x = i % width;
  const y = (i - x) / width;
  let least = MOST_THICK;
  for (let k = 0; k < ACROSS.length; k++) {
    const { dx, dy } = ACROSS[k]!;
    const most = least / STEP_PX;
    const before = stepsInInk(ink, x, y, -dx, -dy, width, height, most);
    const after = stepsInInk(ink, x, y, dx, dy, width, height, most - before);
    least = Math.min(least, (before + after + 1) * STEP_PX);
  }
  return least;
}

/** How many steps from a pixel stay on ink, up to `most`. */
function stepsInInk(
  ink: Uint8Array,
  x: number,
  y: number,
  dx: number,
  dy: number,
  width: number,
  height: number,
  most: number,
): number {
  let steps = 0;
  for (; steps < most; steps++) {
    const px = Math.round(x + (steps + 1) * dx);
    const py = Math.round(y + (steps + 1) * dy);
    if (px < 0 || py < 0 || px >= width || py >= height || ink[py * width + px] === 0) break;
  }
  return steps;
}

/** Thicker ink is told as this thick, pixels. */
const MOST_THICK = 48;
/** Ink is looked across in steps of so many pixels, in eight directions. */
const STEP_PX = 0.5;
const ACROSS = Array.from({ length: 8 }, (_, k) => ({
  dx: STEP_PX * Math.cos((k * Math.PI) / 8),
  dy: STEP_PX * Math.sin((k * Math.PI) / 8),
}));
