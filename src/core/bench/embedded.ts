import { type Problem } from './problem.ts';

/**
 * The things that matter for the fewest runs: one whose pencils follow each other in another's in the same order is
 * always done along with that.
 */
export function withoutEmbedded({ chains, pencil, needs, thing }: Problem): number[] {
  const bound = new Set<number>();
  needs.forEach((before, step) => {
    for (const each of before) bound.add(thing[step]).add(thing[each]);
  });
  const words = chains.map((chain) =>
    Array.from(chain, (step) => pencil[step]).filter((p, i, all) => p !== all[i - 1]),
  );
  const embedded = (small: readonly number[], large: readonly number[]) => {
    let i = 0;
    for (const each of large) if (i < small.length && each === small[i]) i++;
    return i === small.length;
  };
  return words.flatMap((word, t) => {
    const along =
      !bound.has(t) &&
      words.some(
        (other, u) =>
          u !== t &&
          (other.length > word.length || (other.length === word.length && (u < t || bound.has(u)))) &&
          embedded(word, other),
      );
    return along ? [] : [t];
  });
}
