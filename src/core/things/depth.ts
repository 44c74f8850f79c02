/** One group lies in front of another, and how much speaks for it. */
export interface InFront {
  front: number;
  behind: number;
  weight: number;
}

/**
 * Orders groups from what lies in front to what lies behind, so that as little evidence as possible is gone against:
 * whatever nothing lies behind of goes last, whatever nothing hides goes first, and where all hide each other the one
 * that hides most goes first.
 * Source: P. Eades, X. Lin, W. Smyth, A fast and effective heuristic for the feedback arc set problem (1993).
 * @param count of groups
 * @param first compares two groups that nothing is known of: below 0 where the first one lies in front
 */
export function frontToBack(
  count: number,
  evidence: readonly InFront[],
  first: (a: number, b: number) => number,
): number[] {
  const net = new Map<number, number>();
  for (const { front, behind, weight } of evidence) {
    if (front === behind) continue;
    const [a, b, sign] = front < behind ? [front, behind, 1] : [behind, front, -1];
    net.set(a * count + b, (net.get(a * count + b) ?? 0) + sign * weight);
  }
  const hides: Map<number, number>[] = Array.from({ length: count }, () => new Map());
  const hidden: Map<number, number>[] = Array.from({ length: count }, () => new Map());
  for (const [key, weight] of net) {
    if (weight === 0) continue;
    const [a, b] = [Math.floor(key / count), key % count];
    const [front, behind] = weight > 0 ? [a, b] : [b, a];
    hides[front]!.set(behind, Math.abs(weight));
    hidden[behind]!.set(front, Math.abs(weight));
  }
  const left = new Set(Array.from({ length: count }, (_, k) => k).sort(first));
  const fore: number[] = [];
  const back: number[] = [];
  const take = (k: number) => {
    left.delete(k);
    for (const behind of hides[k]!.keys()) hidden[behind]!.delete(k);
    for (const front of hidden[k]!.keys()) hides[front]!.delete(k);
  };
  while (left.size) {
    const ordered = [...left];
    const last = ordered.reverse().find((k) => hides[k]!.size === 0);
    if (last !== undefined) {
      back.push(last);
      take(last);
      continue;
    }
    let [next, most] = [-1, -Infinity];
    for (const k of left) {
      const lead = sum(hides[k]!) - sum(hidden[k]!);
      if (lead > most) [next, most] = [k, lead];
    }
    fore.push(next);
    take(next);
  }
  return [...fore, ...back.reverse()];
}

function sum(weights: ReadonlyMap<number, number>): number {
  let total = 0;
  for (const weight of weights.values()) total += weight;
  return total;
}
