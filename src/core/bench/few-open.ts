import { type Problem, doAll, isReady } from './problem.ts';

/** What a pencil is worth taking up: for each thing that it can go on with, and against for each that wants it later. */
const WORTH = { perRunLeft: 0.25, later: 0.6 };
/** A step that opens one thing more than may be costs as much as so many pick-ups. */
export const TOO_MANY = 1000;

/** An order with a limit of open things. */
export interface Opened {
  /** Steps in order. */
  steps: readonly number[];
  pickUps: number;
  /** How often a thing had to be opened beyond the limit, because all that were open waited for it. */
  beyond: number;
}

/**
 * Works a page through with at most so many things open: the next of a list that need not wait is taken in as soon as
 * one is finished. The
 * pencil in hand does all that it can; then the one that most open things can go on with is taken up.
 * @param opening the things in the order in which they are opened
 * @throws RangeError where steps wait for each other in a circle
 */
export function decodeOpeningOrder(problem: Problem, opening: readonly number[], limit: number): Opened {
  const { chains, pencil, thing, place, needs, runsLeft, pencils } = problem;
  const done = new Uint16Array(chains.length);
  const steps: number[] = [];
  const waiting = [...opening];
  let active: number[] = [];
  let [pickUps, beyond, inHand] = [0, 0, -1];
  const isThrough = (before: number) => place[before]! < done[thing[before]!]!;
  /** The next of the list that need not wait for anything closed, or else one that can at least be begun. */
  const nextToOpen = () => {
    const free = waiting.findIndex((t) =>
      (problem.needsOf[t] ?? []).every((before) => isThrough(before) || active.includes(thing[before]!)),
    );
    return free >= 0 ? free : waiting.findIndex((t) => isReady(problem, done, t));
  };
  const refill = () => {
    active = active.filter((t) => done[t]! < chains[t]!.length);
    while (active.length < limit && waiting.length > 0) {
      const next = nextToOpen();
      if (next < 0 && active.length > 0) break;
      active.push(...waiting.splice(Math.max(0, next), 1));
    }
  };
  const put = (step: number) => void steps.push(step);
  refill();
  while (active.length > 0) {
    while (inHand >= 0 && doAll(problem, done, inHand, active, put)) refill();
    const ready = active.filter((t) => isReady(problem, done, t));
    if (ready.length === 0) {
      if (active.length === 0) break;
      takeInWhatIsNeeded();
      continue;
    }
    let [best, most] = [-1, -Infinity];
    for (const candidate of new Set(ready.map((t) => pencil[chains[t]![done[t]!]!]!))) {
      let worth = 0;
      for (const t of active) {
        const front = isReady(problem, done, t) && pencil[chains[t]![done[t]!]!] === candidate;
        if (front) worth += 1 + WORTH.perRunLeft * (chains[t]!.length - done[t]!);
        else if (runsLeft[t]![done[t]! * pencils + candidate]! > 0) worth -= WORTH.later;
      }
      if (worth > most) [best, most] = [candidate, worth];
    }
    inHand = best;
    pickUps++;
  }
  return { steps, pickUps, beyond };

  /** All open things wait for one that is not: it is opened beyond the limit. */
  function takeInWhatIsNeeded() {
    for (const t of active) {
      for (const before of needs[chains[t]![done[t]!]!]!) {
        const at = waiting.indexOf(thing[before]!);
        if (isThrough(before) || at < 0) continue;
        active.push(...waiting.splice(at, 1));
        beyond++;
        return;
      }
    }
    throw new RangeError('Some steps wait for each other or for a step that is not there.');
  }
}

export function costOf({ pickUps, beyond }: Opened): number {
  return pickUps + TOO_MANY * beyond;
}

/** The things so that each has as much as may be in common with the one before it, beginning with the first. */
export function byLikeness({ chains, pencil }: Problem): number[] {
  const sets = chains.map((chain) => new Set(Array.from(chain, (step) => pencil[step])));
  const left = new Set(sets.keys());
  const out: number[] = [];
  let last = sets[0] ?? new Set<number>();
  while (left.size > 0) {
    let [best, most] = [-1, -1];
    for (const t of left) {
      let shared = 0;
      for (const each of sets[t]!) if (last.has(each)) shared++;
      const alike = shared / (sets[t]!.size + last.size - shared);
      if (alike > most) [best, most] = [t, alike];
    }
    left.delete(best);
    out.push(best);
    last = sets[best]!;
  }
  return out;
}
