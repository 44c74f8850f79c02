import { doubled } from './doubled.ts';
import { NO_REGION } from './region-map.ts';

/** A stretch of border between two labels, from one meeting point of borders to the next, or closed in itself. */
export interface Arc {
  /** Label on the left hand and on the right hand along the arc; 0 and NO_REGION are no region. */
  left: number;
  right: number;
  /** Corners x, y, x, y, ... in pixels. A closed arc does not repeat its first corner. */
  points: Float64Array;
  closed: boolean;
  lengthPx: number;
}

/** How far a simplified border may lie from the pixel edges. */
export const BORDER_TOLERANCE_PX = 1.3;
/** The same of the edge of white, which is looked at closely: just enough that a stair of pixels becomes the slope it stands for. */
export const EDGE_TOLERANCE_PX = 1.05;
const EAST = 1;
const SOUTH = 2;
/** A way that was walked is marked so many bits higher. */
const WALKED = 2;

/**
 * Traces every border of a labelled page once, along the edges of its pixels, cuts it where three or more labels meet,
 * and simplifies each piece once: neighbours share the very same line, without overlap or sliver between them.
 * @param labels grown to the middle of the lines
 * @param tolerancePx how far a simplified line may lie from the pixel edges; default 1.3, which takes out the steps of
 *   slanting lines. Source: D. Douglas, T. Peucker (1973).
 * @param among pixels, in reading order, of which at least one lies at every border within the page, such as those that were ink before
 *   labels grew; default all
 */
export function traceBorders(
  labels: Uint16Array,
  width: number,
  height: number,
  tolerancePx = BORDER_TOLERANCE_PX,
  among?: Int32Array,
): Arc[] {
  const across = width + 1;
  // Of each pixel corner: whether a border leaves it to the east and to the south.
  const cracks = new Uint8Array(across * (height + 1));
  const at = (x: number, y: number) =>
    x < 0 || y < 0 || x >= width || y >= height ? NO_REGION : labels[y * width + x]!;
  let corners = new Int32Array(4096);
  let count = 0;
  const mark = (c: number, ways: number) => {
    if (cracks[c] === 0) {
      if (count === corners.length) corners = doubled(corners);
      corners[count++] = c;
    }
    cracks[c]! |= ways;
  };
  if (among) markBeside(among);
  else markAll();
  for (let x = 0; x < width; x++) {
    if (at(x, 0) !== NO_REGION) mark(x, EAST);
    if (at(x, height - 1) !== NO_REGION) mark(height * across + x, EAST);
  }
  for (let y = 0; y < height; y++) {
    if (at(0, y) !== NO_REGION) mark(y * across, SOUTH);
    if (at(width - 1, y) !== NO_REGION) mark(y * across + width, SOUTH);
  }

  const degree = (c: number) =>
    (cracks[c]! & EAST ? 1 : 0) +
    (cracks[c]! & SOUTH ? 1 : 0) +
    (c % across > 0 && cracks[c - 1]! & EAST ? 1 : 0) +
    (c >= across && cracks[c - across]! & SOUTH ? 1 : 0);
  const arcs: Arc[] = [];
  let path = new Int32Array(4096);
  for (let k = 0; k < count; k++) {
    if (degree(corners[k]!) < 3) continue;
    for (let way = 0; way < 4; way++) if (open(corners[k]!, way)) walk(corners[k]!, way);
  }
  // What is left meets no other border: loops.
  for (let k = 0; k < count; k++) {
    if (leaves(corners[k]!, EAST) || leaves(corners[k]!, SOUTH)) walk(corners[k]!, open(corners[k]!, 0) ? 0 : 1);
  }
  return arcs;

  function markAll(): void {
    for (let y = 0, i = 0; y < height; y++) {
      for (let x = 0, c = y * across; x < width; x++, i++, c++) {
        if (y > 0 && labels[i] !== labels[i - width]) mark(c, EAST);
        if (x > 0 && labels[i] !== labels[i - 1]) mark(c, SOUTH);
      }
    }
  }

  function markBeside(pixels: Int32Array): void {
    let y = 0;
    let row = 0;
    for (const i of pixels) {
      while (i >= row + width) {
        row += width;
        y++;
      }
      const own = labels[i];
      const x = i - row;
      const c = i + y;
      if (y > 0 && labels[i - width] !== own) mark(c, EAST);
      if (x > 0 && labels[i - 1] !== own) mark(c, SOUTH);
      if (x < width - 1 && labels[i + 1] !== own) mark(c + 1, SOUTH);
      if (y < height - 1 && labels[i + width] !== own) mark(c + across, EAST);
    }
  }

  /** Whether a border not yet walked leaves a corner to the east, south, west or north (0 to 3). */
  function open(c: number, way: number): boolean {
    if (way === 0) return leaves(c, EAST);
    if (way === 1) return leaves(c, SOUTH);
    if (way === 2) return c % across > 0 && leaves(c - 1, EAST);
    return c >= across && leaves(c - across, SOUTH);
  }

  function leaves(c: number, way: number): boolean {
    return (cracks[c]! & (way | (way << WALKED))) === way;
  }

  function walk(start: number, firstWay: number): void {
    const [left, right] = sidesOf(start, firstWay);
    let [c, way, n] = [start, firstWay, 0];
    path[n++] = c;
    for (;;) {
      if (way === 0) cracks[c++]! |= EAST << WALKED;
      else if (way === 1) {
        cracks[c]! |= SOUTH << WALKED;
        c += across;
      } else if (way === 2) cracks[--c]! |= EAST << WALKED;
      else cracks[(c -= across)]! |= SOUTH << WALKED;
      if (c === start || degree(c) > 2) break;
      if (n === path.length) path = doubled(path);
      path[n++] = c;
      way = open(c, way) ? way : open(c, (way + 1) % 4) ? (way + 1) % 4 : (way + 3) % 4;
    }
    const closed = c === start && degree(c) === 2;
    if (!closed) {
      if (n === path.length) path = doubled(path);
      path[n++] = c;
    }
    const points = simplified(path, n, across, closed, tolerancePx);
    arcs.push({ left, right, points, closed, lengthPx: lengthOf(points, closed) });
  }

  function sidesOf(c: number, way: number): [left: number, right: number] {
    const [x, y] = [c % across, Math.floor(c / across)];
    if (way === 0) return [at(x, y - 1), at(x, y)];
    if (way === 1) return [at(x, y), at(x - 1, y)];
    if (way === 2) return [at(x - 1, y), at(x - 1, y - 1)];
    return [at(x - 1, y - 1), at(x, y - 1)];
  }
}

/** What `simplified` works in, used again for every stretch of border: there are tens of thousands on a page. */
let [xs, ys, kept] = [new Int32Array(4096), new Int32Array(4096), new Uint8Array(4096)];

/** Keeps the corners that matter: the ends (for a loop, its first corner and the one farthest from it) stay. */
function simplified(path: Int32Array, n: number, across: number, closed: boolean, tolerance: number): Float64Array {
  const last = closed ? n : n - 1;
  if (xs.length <= last) {
    xs = new Int32Array(2 * last);
    ys = new Int32Array(2 * last);
    kept = new Uint8Array(2 * last);
  }
  kept.fill(0, 0, last + 1);
  for (let k = 0; k <= last; k++) {
    const c = path[k === n ? 0 : k]!;
    ys[k] = Math.floor(c / across);
    xs[k] = c - ys[k]! * across;
  }
  kept[0] = kept[last] = 1;
  const stack = [0, last];
  if (xs[0] === xs[last] && ys[0] === ys[last]) {
    let far = 0;
    let farthest = -1;
    for (let k = 1; k < last; k++) {
      const d = (xs[k]! - xs[0]!) ** 2 + (ys[k]! - ys[0]!) ** 2;
      if (d > farthest) [far, farthest] = [k, d];
    }
    kept[far] = 1;
    stack.splice(1, 1, far, far, last);
  }
  while (stack.length) {
    const b = stack.pop()!;
    const a = stack.pop()!;
    const dx = xs[b]! - xs[a]!;
    const dy = ys[b]! - ys[a]!;
    const length = Math.sqrt(dx * dx + dy * dy);
    let far = -1;
    let farthest = length === 0 ? tolerance : tolerance * length;
    for (let k = a + 1; k < b; k++) {
      const px = xs[k]! - xs[a]!;
      const py = ys[k]! - ys[a]!;
      const off = length === 0 ? Math.sqrt(px * px + py * py) : Math.abs(px * dy - py * dx);
      if (off > farthest) {
        far = k;
        farthest = off;
      }
    }
    if (far < 0) continue;
    kept[far] = 1;
    stack.push(a, far, far, b);
  }
  const corners = closed ? last : last + 1;
  let count = 0;
  for (let k = 0; k < corners; k++) count += kept[k]!;
  const points = new Float64Array(2 * count);
  for (let k = 0, p = 0; k < corners; k++) {
    if (!kept[k]) continue;
    points[p++] = xs[k]!;
    points[p++] = ys[k]!;
  }
  return points;
}

/** Length of a border along its corners, pixels. */
export function lengthOf(points: Float64Array, closed: boolean): number {
  let length = 0;
  for (let k = 2; k < points.length; k += 2) length += cornersApart(points, k - 2, k);
  return closed ? length + cornersApart(points, points.length - 2, 0) : length;
}

/** How far two corners lie apart, pixels; faster than Math.hypot, which gathers its arguments first. */
export function cornersApart(points: Float64Array, k: number, j: number): number {
  const [dx, dy] = [points[j]! - points[k]!, points[j + 1]! - points[k + 1]!];
  return Math.sqrt(dx * dx + dy * dy);
}

/**
 * Puts the arcs round each region together to rings that keep it on the right hand: outer rings turn clockwise on the
 * page, rings round holes the other way.
 * @returns for each region 1..count its rings as x, y, x, y, ... in pixels, the outer ring first
 */
export function ringsOfRegions(arcs: readonly Arc[], count: number): Float64Array[][] {
  const pieces: Float64Array[][] = Array.from({ length: count + 1 }, () => []);
  const rings: Float64Array[][] = Array.from({ length: count + 1 }, () => []);
  for (const { left, right, points, closed } of arcs) {
    if (right >= 1 && right <= count) (closed ? rings : pieces)[right]!.push(points);
    if (left >= 1 && left <= count) (closed ? rings : pieces)[left]!.push(backwards(points));
  }
  for (let id = 1; id <= count; id++) {
    rings[id]!.push(...joined(pieces[id]!));
    rings[id]!.sort((p, q) => ringArea(q) - ringArea(p));
  }
  return rings;
}

function joined(pieces: readonly Float64Array[]): Float64Array[] {
  const from = new Map<number, number[]>();
  pieces.forEach((piece, k) => {
    const key = cornerKey(piece[0]!, piece[1]!);
    const others = from.get(key);
    if (others) others.push(k);
    else from.set(key, [k]);
  });
  const used = new Uint8Array(pieces.length);
  const rings: Float64Array[] = [];
  for (let first = 0; first < pieces.length; first++) {
    if (used[first]) continue;
    const ring: number[] = [];
    for (let k: number | undefined = first; k !== undefined;) {
      used[k] = 1;
      const piece: Float64Array = pieces[k]!;
      for (let p = 0; p < piece.length - 2; p++) ring.push(piece[p]!);
      const next: number[] = (from.get(cornerKey(piece[piece.length - 2]!, piece[piece.length - 1]!)) ?? []).filter(
        (other) => !used[other],
      );
      k = next.length > 1 ? sharpestRight(piece, next, pieces) : next[0];
    }
    rings.push(Float64Array.from(ring));
  }
  return rings;
}

function cornerKey(x: number, y: number): number {
  return y * 2 ** 20 + x;
}

/** Where a region touches itself at a corner, the ring turns right, which keeps to the same side of the corner. */
function sharpestRight(piece: Float64Array, next: readonly number[], pieces: readonly Float64Array[]): number {
  const n = piece.length;
  const heading = Math.atan2(piece[n - 1]! - piece[n - 3]!, piece[n - 2]! - piece[n - 4]!);
  const turn = (k: number) => {
    const out = Math.atan2(pieces[k]![3]! - pieces[k]![1]!, pieces[k]![2]! - pieces[k]![0]!);
    return (out - heading + 5 * Math.PI) % (2 * Math.PI);
  };
  return [...next].sort((p, q) => turn(q) - turn(p))[0]!;
}

function backwards(points: Float64Array): Float64Array {
  const turned = new Float64Array(points.length);
  for (let k = 0; k < points.length; k += 2) {
    turned[k] = points[points.length - 2 - k]!;
    turned[k + 1] = points[points.length - 1 - k]!;
  }
  return turned;
}

/** Area within a ring, pixels; negative for rings round holes. */
export function ringArea(ring: Float64Array): number {
  let twice = 0;
  for (let k = 0, n = ring.length; k < n; k += 2) {
    const j = k + 2 === n ? 0 : k + 2;
    twice += ring[k]! * ring[j + 1]! - ring[j]! * ring[k + 1]!;
  }
  return twice / 2;
}
