import { type Arc } from '../lineart/index.ts';

/** What the lines between two neighbouring regions show of them. `a` < `b`. */
export interface SharedBorder {
  a: number;
  b: number;
  lengthPx: number;
  /** Ends of the border that were looked at, and those that run up against another line and stop there. */
  ends: number;
  stops: number;
}

/** Where one line runs on past the end of another: the region beyond it hides what the stopping line parts. */
export interface Hiding {
  front: number;
  behind: number;
  times: number;
}

export interface PageBorders {
  shared: SharedBorder[];
  hidings: Hiding[];
  /** Length of each region's whole outline, pixels, by id. */
  around: Float64Array;
  /** How much of it lies on the margin or the edge of the picture, pixels, by id. */
  onMargin: Float64Array;
}

/** Arcs are read this far from where they meet, so that the blur of a meeting does not turn them, mm. */
const READ_MM = 1.6;
/** Two lines are one that runs on when they turn by less than this where they meet, degrees. */
const RUNS_ON = 28;

/**
 * Reads the borders of a page: which lines run on where three meet, and which stop there.
 * A line that stops against another one lies behind what that other one bounds.
 * Source: D. Huffman, Impossible objects as nonsense sentences (1971), on T-junctions.
 * @param arcs borders as traceBorders gives them
 * @param count of regions
 */
export function readBorders(arcs: readonly Arc[], pixelsPerMm: number, count: number): PageBorders {
  const shared = new Map<number, SharedBorder>();
  const around = new Float64Array(count + 1);
  const onMargin = new Float64Array(count + 1);
  const isRegion = (label: number) => label >= 1 && label <= count;
  const borderOf = ({ left, right }: Arc) => {
    const [a, b] = left < right ? [left, right] : [right, left];
    const key = a * 65_536 + b;
    let border = shared.get(key);
    if (!border) shared.set(key, (border = { a, b, lengthPx: 0, ends: 0, stops: 0 }));
    return border;
  };
  for (const arc of arcs) {
    const { left, right, lengthPx } = arc;
    const along = (own: number, other: number) => {
      if (!isRegion(own)) return;
      around[own]! += lengthPx;
      if (!isRegion(other)) onMargin[own]! += lengthPx;
    };
    along(left, right);
    along(right, left);
    if (!isRegion(left) || !isRegion(right)) continue;
    borderOf(arc).lengthPx += lengthPx;
  }
  const hidings = new Map<number, Hiding>();
  for (const ends of meetings(arcs).values()) {
    if (ends.length !== 3) continue;
    const ways = ends.map(({ arc, atStart }) => heading(arcs[arc]!, atStart, READ_MM * pixelsPerMm));
    const stem = stemOf(ways);
    ends.forEach(({ arc }, k) => {
      const { left, right } = arcs[arc]!;
      if (!isRegion(left) || !isRegion(right)) return;
      const border = borderOf(arcs[arc]!);
      border.ends++;
      if (k === stem) border.stops++;
    });
    if (stem < 0) continue;
    const parted = [arcs[ends[stem]!.arc]!.left, arcs[ends[stem]!.arc]!.right];
    const bar = arcs[ends[(stem + 1) % 3]!.arc]!;
    const front = [bar.left, bar.right].find((label) => !parted.includes(label));
    if (front === undefined || !isRegion(front)) continue;
    for (const behind of parted) {
      if (!isRegion(behind)) continue;
      const key = front * 65_536 + behind;
      const hiding = hidings.get(key);
      if (hiding) hiding.times++;
      else hidings.set(key, { front, behind, times: 1 });
    }
  }
  return {
    shared: [...shared.values()],
    hidings: [...hidings.values()],
    around,
    onMargin,
  };
}

interface End {
  arc: number;
  atStart: boolean;
}

/** The arc ends that meet at each corner of the page, by corner. */
function meetings(arcs: readonly Arc[]): Map<number, End[]> {
  const found = new Map<number, End[]>();
  arcs.forEach(({ points, closed }, arc) => {
    if (closed) return;
    for (const atStart of [true, false]) {
      const k = atStart ? 0 : points.length - 2;
      const key = points[k + 1]! * 65_536 + points[k]!;
      const ends = found.get(key);
      if (ends) ends.push({ arc, atStart });
      else found.set(key, [{ arc, atStart }]);
    }
  });
  return found;
}

/** Direction in which an arc leaves one of its ends, radians, read some way along it. */
function heading({ points }: Arc, atStart: boolean, reachPx: number): number {
  const step = atStart ? 2 : -2;
  let k = atStart ? 0 : points.length - 2;
  const [x0, y0] = [points[k]!, points[k + 1]!];
  let left = reachPx;
  let [x, y] = [x0, y0];
  while (k + step >= 0 && k + step < points.length) {
    const [nx, ny] = [points[k + step]!, points[k + step + 1]!];
    const length = Math.hypot(nx - x, ny - y);
    if (length >= left) {
      x += ((nx - x) * left) / length;
      y += ((ny - y) * left) / length;
      break;
    }
    left -= length;
    [x, y] = [nx, ny];
    k += step;
  }
  return Math.atan2(y - y0, x - x0);
}

/** Which of three ways leaves a line made by the two others; -1 where none does, as at a corner of three faces. */
function stemOf(ways: readonly number[]): number {
  const bend = (k: number) => {
    const turn = Math.abs(ways[(k + 1) % 3]! - ways[(k + 2) % 3]!);
    return (Math.abs(Math.PI - Math.min(turn, 2 * Math.PI - turn)) * 180) / Math.PI;
  };
  const bends = [bend(0), bend(1), bend(2)];
  const straightest = bends.indexOf(Math.min(...bends));
  return bends[straightest]! <= RUNS_ON ? straightest : -1;
}
