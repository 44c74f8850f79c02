import { type RegionMap, NO_REGION, distanceToLines } from '../../src/core/lineart/index.ts';
import { type MadeUpPage } from './page.ts';

export interface Score {
  /** Share of true regions that are met by one found region which is theirs alone (nine tenths of each in the other). */
  oneToOne: number;
  /** The same of those with room for a circle of 0.5 mm radius. */
  oneToOneLarge: number;
  /** Gaps whose two sides came out as one region. */
  leaks: number;
  /** Pairs of true regions that came out as one without a gap between them. */
  otherLeaks: number;
  /** Found regions beyond one for each true region. */
  falseRegions: number;
}

const MATCH = 0.9;
const LARGE_RADIUS_MM = 0.5;

/** Compares what was found with what is true, pixel by pixel. */
export function scoreRegions({ labels, regions }: RegionMap, page: MadeUpPage): Score {
  const { truth, count, gaps } = page;
  const together = new Map<number, number>();
  const trueArea = new Float64Array(count + 1);
  const foundArea = new Float64Array(regions.length + 1);
  for (let i = 0; i < truth.length; i++) {
    const [t, f] = [truth[i], labels[i] === NO_REGION ? 0 : labels[i]];
    if (t) trueArea[t]++;
    if (!t || !f) continue;
    foundArea[f]++;
    const key = t * 65_536 + f;
    together.set(key, (together.get(key) ?? 0) + 1);
  }
  const met = new Uint8Array(count + 1);
  const mostOf = new Map<number, { truth: number; area: number }>();
  const within = new Map<number, number[]>();
  for (const [key, area] of together) {
    const [t, f] = [Math.floor(key / 65_536), key % 65_536];
    if (area > MATCH * trueArea[t] && area > MATCH * foundArea[f]) met[t] = 1;
    if (area > (mostOf.get(f)?.area ?? 0)) mostOf.set(f, { truth: t, area });
    if (area > 0.5 * trueArea[t]) within.set(f, [...(within.get(f) ?? []), t]);
  }
  const large = roomy(page);
  const share = (of: (t: number) => boolean) => {
    let [all, hit] = [0, 0];
    for (let t = 1; t <= count; t++) if (of(t)) [all, hit] = [all + 1, hit + met[t]];
    return hit / all;
  };
  const gapPairs = new Set(gaps.map(({ between: [a, b] }) => Math.min(a, b) * 65_536 + Math.max(a, b)));
  const one = (a: number, b: number) => [...within.values()].some((list) => list.includes(a) && list.includes(b));
  const merged = [...within.values()].reduce((sum, list) => sum + list.length - 1, 0);
  const leaks = gaps.filter(({ between: [a, b] }) => one(a, b)).length;
  const throughGaps = [...gapPairs].filter((key) => one(Math.floor(key / 65_536), key % 65_536)).length;
  const home = new Map<number, number>();
  for (const { truth: t } of mostOf.values()) home.set(t, (home.get(t) ?? 0) + 1);
  const nowhere = regions.length - mostOf.size;
  return {
    oneToOne: share(() => true),
    oneToOneLarge: share((t) => large[t] === 1),
    leaks,
    otherLeaks: Math.max(0, merged - throughGaps),
    falseRegions: nowhere + [...home.values()].reduce((sum, n) => sum + n - 1, 0),
  };
}

/** Which true regions have room for a circle of half a millimetre. */
function roomy({ truth, count, grey: { width, height }, pixelsPerMm }: MadeUpPage): Uint8Array {
  const distance = distanceToLines(truth, width, height);
  const big = new Uint8Array(count + 1);
  for (let i = 0; i < truth.length; i++) if (distance[i] - 0.5 >= LARGE_RADIUS_MM * pixelsPerMm) big[truth[i]] = 1;
  return big;
}
