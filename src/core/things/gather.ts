import { type Affinity } from './affinities.ts';

/** Groups of regions smaller than this have no thing of their own unless they lie alone within another, mm2. */
const TOO_SMALL_MM2 = 10;
/** Within another they have one from this area on, mm2. */
const SMALL_ALONE_MM2 = 2;

/** A word that a person gave about two regions. */
export interface Word {
  a: number;
  b: number;
  together: boolean;
}

/** Regions that were gathered, and how strongly each two groups that touch still hold together or apart. */
export interface Gathered {
  groups: number[][];
  /** Between groups, by their index: the sum of what speaks for them being one. */
  between: { a: number; b: number; strength: number }[];
}

/** Stronger than all bonds of a page together. */
const CERTAIN = 1e6;

/**
 * Gathers regions into groups: always the two that are bound most strongly, adding up what binds them to others, until
 * nothing speaks for going on; then gives what is too small to be a thing to the neighbour it holds to most.
 * Source: M. Keuper et al., Efficient decomposition of image and mesh graphs by lifted multicuts (2015), greedy
 * additive edge contraction.
 * @param ids the regions to gather, in any order
 * @param areas in mm2, by id
 * @param bonds between them; those with other regions are not read
 * @param words that outweigh all bonds; of two that contradict each other the later one counts
 */
export function gather(
  ids: readonly number[],
  areas: ArrayLike<number>,
  bonds: readonly Affinity[],
  words: readonly Word[] = [],
): Gathered {
  const groups = new Map(ids.map((id) => [id, { members: [id], area: areas[id]!, bonds: new Map<number, number>() }]));
  const bind = (a: number, b: number, strength: number, over = false) => {
    const [p, q] = [groups.get(a), groups.get(b)];
    if (!p || !q || a === b) return;
    const sum = over ? strength : (p.bonds.get(b) ?? 0) + strength;
    p.bonds.set(b, sum);
    q.bonds.set(a, sum);
  };
  for (const { a, b, strength } of bonds) bind(a, b, strength);
  for (const { a, b, together } of words) bind(a, b, together ? CERTAIN : -CERTAIN, true);
  /** The first group takes the second one over. */
  const merge = (a: number, b: number) => {
    const [p, q] = [groups.get(a)!, groups.get(b)!];
    p.members.push(...q.members);
    p.area += q.area;
    p.bonds.delete(b);
    q.bonds.delete(a);
    groups.delete(b);
    for (const [other, strength] of q.bonds) {
      groups.get(other)!.bonds.delete(b);
      bind(a, other, strength);
    }
  };
  const strongest = (bonds: ReadonlyMap<number, number>) => {
    let [to, most] = [0, -Infinity];
    for (const [other, strength] of bonds) {
      if (strength > most || (strength === most && other < to)) [to, most] = [other, strength];
    }
    return { to, most };
  };
  const best = new Map([...groups].map(([id, { bonds: own }]) => [id, strongest(own)]));
  for (;;) {
    let [from, most] = [0, 0];
    for (const [id, own] of best) if (own.most > most) [from, most] = [id, own.most];
    if (from === 0) break;
    const { to } = best.get(from)!;
    const touched = [...groups.get(to)!.bonds.keys(), ...groups.get(from)!.bonds.keys()];
    merge(from, to);
    best.delete(to);
    for (const id of new Set([from, ...touched])) {
      const group = groups.get(id);
      if (group) best.set(id, strongest(group.bonds));
    }
  }
  const settled = new Set<number>();
  for (;;) {
    let smallest: number | null = null;
    let least = TOO_SMALL_MM2;
    for (const [id, { area }] of groups) if (area < least && !settled.has(id)) [smallest, least] = [id, area];
    if (smallest === null) break;
    const { bonds: own } = groups.get(smallest)!;
    const { to, most } = strongest(own);
    const alone = own.size === 1 && least > SMALL_ALONE_MM2;
    if (own.size === 0 || alone || most <= -CERTAIN / 2) settled.add(smallest);
    else merge(to, smallest);
  }
  const order = [...groups.values()]
    .map((group) => ({ ...group, members: group.members.sort((a, b) => a - b) }))
    .sort((p, q) => p.members[0]! - q.members[0]!);
  const indexOf = new Map(order.flatMap(({ members }, k) => members.map((id) => [id, k] as const)));
  return {
    groups: order.map(({ members }) => members),
    between: order.flatMap(({ bonds: own }, a) =>
      [...own].flatMap(([other, strength]) => {
        const b = indexOf.get(other)!;
        return a < b ? [{ a, b, strength }] : [];
      }),
    ),
  };
}
