import { cornersApart, ringArea } from './borders.ts';
import { type ShapeKind } from './shape-kinds.ts';

/** What a region's outline tells beyond its white part. */
export interface OutlineMeasures {
  /** Extent along the region's axis and across it, pixels. */
  lengthPx: number;
  breadthPx: number;
  /** Holes that other regions or the margin fill. */
  holes: number;
  shape: ShapeKind;
}

/** Holes that take up this share of what the outer ring encloses make a ring. */
const RING_HOLE = 0.2;
/** So many squares of its usable width make a strip, however it bends. */
const STRIP_SQUARES = 6;

/**
 * Measures and names the shape of a region.
 * @param rings its rings in pixels, the outer one first, as ringsOfRegions gives them
 * @param axisDegrees direction of its long axis
 * @param usableWidthPx diameter of the largest circle in it
 */
export function measureOutline(
  rings: readonly Float64Array[],
  axisDegrees: number,
  usableWidthPx: number,
): OutlineMeasures {
  const outer = rings[0]!;
  const along = extent(outer, axisDegrees);
  const across = extent(outer, axisDegrees + 90);
  const area = ringArea(outer);
  const inHoles = rings.slice(1).reduce((sum, ring) => sum - ringArea(ring), 0);
  const [lengthPx, breadthPx] = [along.to - along.from, across.to - across.from];
  const shape = kindOf({ outer, area, inHoles, lengthPx, breadthPx, axisDegrees, usableWidthPx });
  return { lengthPx, breadthPx, holes: rings.length - 1, shape };
}

interface Outline {
  outer: Float64Array;
  area: number;
  inHoles: number;
  lengthPx: number;
  breadthPx: number;
  axisDegrees: number;
  usableWidthPx: number;
}

/** What a shape must be to be called so: stretched (length by breadth), round (4 pi A / P2), filled (of its box), ends. */
const BALL = { stretched: 1.5, round: 0.83, filled: 0.86 };
const LEAF = { stretched: 1.25, leastFilled: 0.52, mostFilled: 0.8, ends: 0.58 };
const TUBE = { stretched: 1.5, filled: 0.74 };

function kindOf({ outer, area, inHoles, lengthPx, breadthPx, axisDegrees, usableWidthPx }: Outline): ShapeKind {
  if (inHoles > RING_HOLE * area) return 'ring';
  if ((area - inHoles) / usableWidthPx ** 2 > STRIP_SQUARES) return 'strip';
  const filled = area / (lengthPx * breadthPx);
  const stretched = lengthPx / breadthPx;
  const round = (4 * Math.PI * area) / perimeter(outer) ** 2;
  if (stretched < BALL.stretched && round > BALL.round && filled < BALL.filled) return 'ball';
  const ends = endBreadths(outer, axisDegrees, lengthPx).map((breadth) => breadth / breadthPx);
  const leafy = filled > LEAF.leastFilled && filled < LEAF.mostFilled && Math.max(...ends) < LEAF.ends;
  if (stretched > LEAF.stretched && leafy) return 'leaf';
  if (stretched > TUBE.stretched && filled > TUBE.filled) return 'tube';
  return 'irregular';
}

function extent(ring: Float64Array, degrees: number): { from: number; to: number } {
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  let [from, to] = [Infinity, -Infinity];
  for (let k = 0; k < ring.length; k += 2) {
    const d = ring[k]! * c + ring[k + 1]! * s;
    if (d < from) from = d;
    if (d > to) to = d;
  }
  return { from, to };
}

/** How broad the outline is an eighth of its length from either end, pixels. */
function endBreadths(ring: Float64Array, axisDegrees: number, lengthPx: number): number[] {
  const [c, s] = [Math.cos((axisDegrees * Math.PI) / 180), Math.sin((axisDegrees * Math.PI) / 180)];
  const { from } = extent(ring, axisDegrees);
  return [1 / 8, 7 / 8].map((share) => {
    const level = from + share * lengthPx;
    let [least, most] = [Infinity, -Infinity];
    for (let k = 0; k < ring.length; k += 2) {
      const j = (k + 2) % ring.length;
      const u = ring[k]! * c + ring[k + 1]! * s;
      const v = ring[j]! * c + ring[j + 1]! * s;
      if (u < level === v < level) continue;
      const t = (level - u) / (v - u);
      const off = (ring[k + 1]! * c - ring[k]! * s) * (1 - t) + (ring[j + 1]! * c - ring[j]! * s) * t;
      least = Math.min(least, off);
      most = Math.max(most, off);
    }
    return Math.max(0, most - least);
  });
}

/** Length round a ring, pixels. */
export function perimeter(ring: Float64Array): number {
  let length = 0;
  for (let k = 0, n = ring.length; k < n; k += 2) {
    const j = (k + 2) % n;
    length += cornersApart(ring, k, j);
  }
  return length;
}

/**
 * How many pencils can each have a band of their own across a region: no band is narrower than the point.
 * @param usableWidthMm diameter of the largest circle in the region
 * @param pointMm width of the line that the point leaves; default 0.5 mm, a kept-sharp pencil
 * @returns 1 at least, however narrow, and 5 at most
 * @throws RangeError for a point that is not above 0 mm
 */
export function bandsThatFit(usableWidthMm: number, pointMm = 0.5): number {
  if (!(pointMm > 0)) throw new RangeError('A point leaves a line above 0 mm wide.');
  return Math.min(5, Math.max(1, Math.floor(usableWidthMm / pointMm)));
}
