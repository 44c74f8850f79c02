import { NO_REGION } from './region-map.ts';

/** Regions that share this much of the smaller of the two are the same, or one a part of the other. */
export const SAME_SHARE = 0.6;

/**
 * For each region found anew, in order of id, the one of before that it is the same as, or a part or the larger part of.
 * @param old labels of before, and the new ones, row by row and of the same length
 */
export function sameRegions(old: Uint16Array, now: Uint16Array): Map<number, number> {
  const shared = new Map<number, number>();
  const [oldArea, newArea] = [new Float64Array(65_536), new Float64Array(65_536)];
  for (let i = 0; i < now.length;) {
    const [was, is] = [old[i]!, now[i]!];
    const from = i;
    while (i < now.length && old[i] === was && now[i] === is) i++;
    oldArea[was]! += i - from;
    newArea[is]! += i - from;
    if (was === 0 || is === 0 || was === NO_REGION || is === NO_REGION) continue;
    shared.set(is * 65_536 + was, (shared.get(is * 65_536 + was) ?? 0) + i - from);
  }
  const best = new Map<number, { was: number; area: number }>();
  for (const [key, area] of shared) {
    const [is, was] = [Math.floor(key / 65_536), key % 65_536];
    if (area < SAME_SHARE * Math.min(oldArea[was]!, newArea[is]!)) continue;
    if (area > (best.get(is)?.area ?? 0)) best.set(is, { was, area });
  }
  return new Map([...best].sort(([p], [q]) => p - q).map(([is, { was }]) => [is, was]));
}
