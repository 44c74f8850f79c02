import { type Region } from '../lineart/index.ts';

/** A thing as far as its outline counts. */
export interface OutlinedThing {
  id: string;
  regions: readonly Region[];
  /** Whether it lies in the water: only such things can be reflections. */
  inWater: boolean;
}

/** A reflection that the artist has drawn, and what it repeats. */
export interface DrawnReflection {
  reflection: string;
  of: string;
  /** How alike they are, 0..1. */
  alike: number;
}

/** A reflection lies below what it repeats, and no further aside than this share of its width. */
const ASIDE = 0.25;
/** Wider, narrower, higher or lower by more than this factor is another thing. */
const FACTOR = { width: 1.7, height: 2.6 };
/** Less alike than this they are not taken for a pair. */
const ALIKE = 0.5;

/**
 * Matches reflections that are drawn in the water to what they repeat: what has about the same width, stands above it
 * and lies mirrored to it across a line between them. Water shortens and breaks what it shows, and what stands nearer is
 * mirrored at its own foot, so there is no one line for all.
 * @param waterLineMm reflections begin about there or below
 */
export function drawnReflections(things: readonly OutlinedThing[], waterLineMm: number): DrawnReflection[] {
  const boxes = new Map(
    things.flatMap(({ id, regions }) => (regions.length > 0 ? [[id, boxOf(regions)] as const] : [])),
  );
  return things.flatMap(({ id, inWater }): DrawnReflection[] => {
    const own = boxes.get(id);
    if (!inWater || !own || own.top < waterLineMm - own.height / 2) return [];
    let best: DrawnReflection | null = null;
    for (const other of things) {
      const box = boxes.get(other.id);
      if (!box || other.id === id || other.inWater) continue;
      const alike = likeness(box, own);
      if (alike >= ALIKE && (!best || alike > best.alike)) best = { reflection: id, of: other.id, alike };
    }
    return best ? [best] : [];
  });
}

interface Box {
  left: number;
  right: number;
  top: number;
  width: number;
  height: number;
  x: number;
  y: number;
}

/** How well a thing's box, turned over at a line between them, fits that of what may be its reflection, 0..1. */
function likeness(above: Box, below: Box): number {
  const ratio = (p: number, q: number) => Math.max(p, q) / Math.max(0.1, Math.min(p, q));
  const [wide, high] = [ratio(above.width, below.width), ratio(above.height, below.height)];
  const aside = Math.abs(above.x - below.x) / Math.max(above.width, below.width);
  if (below.y <= above.y || wide > FACTOR.width || high > FACTOR.height || aside > ASIDE) return 0;
  return (1 / wide) * (1 - aside) * Math.sqrt(1 / high);
}

function boxOf(regions: readonly Region[]): Box {
  const left = Math.min(...regions.map(({ box }) => box.left));
  const right = Math.max(...regions.map(({ box }) => box.right));
  const top = Math.min(...regions.map(({ box }) => box.top));
  const bottom = Math.max(...regions.map(({ box }) => box.bottom));
  return { left, right, top, width: right - left, height: bottom - top, x: (left + right) / 2, y: (top + bottom) / 2 };
}
