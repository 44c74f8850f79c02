import { type Region } from '../lineart/index.ts';

/** A thing as far as its outline counts. */
export interface OutlinedThing {
  id: string;
  regions: readonly Region[];
  /** Whether it is known to be a reflection, or not to be one; null where only its place and outline can tell. */
  inWater: boolean | null;
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
/** What nobody called a reflection is taken for one where it is so much alike, and lies across a line that others share. */
const SURELY_ALIKE = 0.6;
/** How far the lines of such pairs lie apart at most, mm, and how many share one. */
const SHARED_LINE = { withinMm: 4, pairs: 2 };
/** A pair whose line lies so far from the shared one counts for nothing, mm; nearer ones for more. */
const OFF_LINE_MM = 20;

/**
 * Matches reflections that are drawn in the water to what they repeat: what has about the same width, stands above it
 * and lies mirrored to it across a line between them. Water shortens and breaks what it shows, and what stands nearer is
 * mirrored at its own foot, so there is no one line for all. What nobody called a reflection is taken for one where its
 * line, half way between the foot of the one and the top of the other, is that of other pairs too.
 * @param waterLineMm reflections begin about there or below
 */
export function drawnReflections(things: readonly OutlinedThing[], waterLineMm: number): DrawnReflection[] {
  const boxes = new Map(
    things.flatMap(({ id, regions }) => (regions.length > 0 ? [[id, boxOf(regions)] as const] : [])),
  );
  const pairs = things.flatMap(({ id, inWater }) => {
    const own = boxes.get(id);
    if (inWater === false || !own || own.top < waterLineMm - own.height / 2) return [];
    return things.flatMap((other): Pair[] => {
      const box = boxes.get(other.id);
      if (!box || other.id === id || other.inWater) return [];
      const alike = likeness(box, own);
      const known = inWater === true;
      // What lies in front of what it may repeat, across its foot, is no mirror image of it.
      if (alike < (known ? ALIKE : SURELY_ALIKE) || (!known && own.top < box.top + box.height)) return [];
      return [
        { reflection: id, of: other.id, alike, known, line: (box.top + box.height + own.top) / 2, middle: box.y },
      ];
    });
  });
  const shared = sharedLine(pairs, waterLineMm);
  const best = new Map<string, { pair: Pair; score: number }>();
  for (const pair of pairs) {
    if (!pair.known && (shared === null || Math.abs(pair.line - shared) > SHARED_LINE.withinMm)) continue;
    // What stands below the line is in the water itself.
    if (shared !== null && pair.middle > shared) continue;
    const off = shared === null ? 0 : Math.abs(pair.line - shared) / OFF_LINE_MM;
    const score = pair.alike * Math.max(0, 1 - off);
    if (score > (best.get(pair.reflection)?.score ?? 0)) best.set(pair.reflection, { pair, score });
  }
  return [...best.values()].map(({ pair: { reflection, of, alike } }) => ({ reflection, of, alike }));
}

interface Pair extends DrawnReflection {
  /** Whether the one is known to be a reflection. */
  known: boolean;
  /** Where the line between the two lies, mm from the top. */
  line: number;
  /** Where the middle of what it may repeat lies, mm from the top. */
  middle: number;
}

/** The line at or below the water line that most likeness lies across; null where no two reflections share one. */
function sharedLine(pairs: readonly Pair[], waterLineMm: number): number | null {
  let shared: { line: number; alike: number } | null = null;
  for (const { line } of pairs) {
    if (line < waterLineMm) continue;
    const near = new Map<string, number>();
    for (const pair of pairs) {
      if (Math.abs(pair.line - line) > SHARED_LINE.withinMm) continue;
      near.set(pair.reflection, Math.max(pair.alike ** 2, near.get(pair.reflection) ?? 0));
    }
    const alike = [...near.values()].reduce((sum, each) => sum + each, 0);
    if (near.size >= SHARED_LINE.pairs && (!shared || alike > shared.alike)) shared = { line, alike };
  }
  return shared?.line ?? null;
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
