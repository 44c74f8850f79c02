import { type Problem, runsFrom } from './problem.ts';
import { Subproblem } from './subproblem.ts';

/** Pencils are looked at in groups of at most so many, each with all others left out. */
const GROUP = 8;
/** States of a group that are looked at before what is known by then is taken. */
const MOST_STATES = 10_000;

/**
 * No order can do with fewer pick-ups than this, whatever things are open. Pencils are parted into groups that mostly go
 * together; for each, with all other pencils left out and nothing waiting for another thing, the fewest pick-ups are found
 * exactly (A*, by P. Hart, N. Nilsson and B. Raphael, 1968), or else the fewest that are still possible when the search
 * is given up. Since no pencil is in two groups, they add up.
 * @param pause lets others come to their turn; is called often
 */
export async function lowerBound(problem: Problem, pause: () => Promise<unknown>): Promise<number> {
  let sum = 0;
  for (const group of groupsOf(problem)) sum += await fewestOf(withOnly(problem, group), pause);
  return sum;
}

/** Pencils that most things have in common, in groups: the two groups that share most become one, while there is room. */
function groupsOf({ chains, pencil, pencils }: Problem): Set<number>[] {
  const together = Array.from({ length: pencils }, () => new Float64Array(pencils));
  for (const chain of chains) {
    const own = [...new Set(Array.from(chain, (step) => pencil[step]!))];
    for (const a of own) for (const b of own) if (a !== b) together[a]![b]!++;
  }
  const groups = Array.from({ length: pencils }, (_, c) => new Set([c]));
  for (;;) {
    let [best, most] = [[-1, -1], 0];
    for (let i = 0; i < groups.length; i++) {
      for (let j = i + 1; j < groups.length; j++) {
        if (groups[i]!.size + groups[j]!.size > GROUP) continue;
        let shared = 0;
        for (const a of groups[i]!) for (const b of groups[j]!) shared += together[a]![b]!;
        if (shared / (groups[i]!.size * groups[j]!.size) > most) {
          [best, most] = [[i, j], shared / (groups[i]!.size * groups[j]!.size)];
        }
      }
    }
    if (most === 0) return groups;
    const other = groups.splice(best[1]!, 1)[0]!;
    for (const each of other) groups[best[0]!]!.add(each);
  }
}

/** The same page with these pencils alone, and nothing that waits for another thing. */
function withOnly({ chains, pencil, pencils, thing, place }: Problem, group: ReadonlySet<number>): Problem {
  const left = chains
    .map((chain) => chain.filter((step) => group.has(pencil[step]!)))
    .filter(({ length }) => length > 0);
  return {
    pencil,
    pencils,
    thing,
    place,
    chains: left,
    needs: Array.from(pencil, () => []),
    needsOf: left.map(() => []),
    runsLeft: left.map((chain) => runsFrom(chain, pencil, pencils)),
  };
}

async function fewestOf(problem: Problem, pause: () => Promise<unknown>): Promise<number> {
  const start = new Uint16Array(problem.chains.length);
  const end = Uint16Array.from(problem.chains, ({ length }) => length);
  const stretch = new Subproblem(problem, [...problem.chains.keys()], start, end);
  const begun = new Uint16Array(stretch.things);
  /** States that wait to be looked at, by the fewest pick-ups that may lead over them. */
  const waiting: { done: Uint16Array; runs: number }[][] = [];
  const put = (done: Uint16Array, runs: number) => {
    const least = runs + Math.floor(stretch.left(done));
    (waiting[least] ??= []).push({ done, runs });
  };
  const known = new Map<number, number>();
  put(begun, 0);
  let looked = 0;
  for (let least = 0; least < waiting.length; least++) {
    for (const queue = waiting[least] ?? []; queue.length > 0;) {
      const { done, runs } = queue.pop()!;
      if (stretch.left(done) === 0) return runs;
      if (++looked > MOST_STATES) return least;
      if (looked % 32 === 0) await pause();
      for (const { after } of stretch.next(done)) {
        const key = stretch.keyOf(after);
        if ((known.get(key) ?? Infinity) <= runs + 1) continue;
        known.set(key, runs + 1);
        put(after, runs + 1);
      }
    }
  }
  return 0;
}
