/**
 * The things that matter for the fewest runs: one whose pencils follow each other in another's in the same order is
 * always done along with that, and of things that want the same one will do.
 * @param wanted the pencils that each thing still wants, in order
 * @param isBound whether a thing waits for another or another for it: those are all kept
 * @returns places in `wanted`, ascending
 */
export function withoutEmbedded(wanted: readonly ArrayLike<number>[], isBound: (t: number) => boolean): number[] {
  const words = wanted.map((pencils) => Array.from(pencils).filter((pencil, i, all) => pencil !== all[i - 1]));
  /** Of each word the thing that stands for it: one that is kept in any case, where there is one. */
  const standing = new Map<string, number>();
  words.forEach((word, t) => {
    const key = word.join();
    const other = standing.get(key);
    if (other === undefined || (isBound(t) && !isBound(other))) standing.set(key, t);
  });
  const different = [...standing.values()];
  const alone = new Set(
    different.filter(
      (t) => !different.some((other) => words[other]!.length > words[t]!.length && embedded(words[t]!, words[other]!)),
    ),
  );
  return [...words.keys()].filter((t) => isBound(t) || alone.has(t));
}

function embedded(small: readonly number[], large: readonly number[]): boolean {
  let i = 0;
  for (const each of large) if (i < small.length && each === small[i]) i++;
  return i === small.length;
}
