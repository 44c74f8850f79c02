import { inHand } from './step.ts';
import type { Step } from './schemas.ts';

/** Steps as numbers, for the search of an order. Each thing is a chain: its steps are done in the order in which they stand. */
export interface Problem {
  /** Pencil or tool of each step, 0 and up. */
  pencil: Int32Array;
  pencils: number;
  /** Thing of each step, and its place in the chain of that thing. */
  thing: Int32Array;
  place: Int32Array;
  /** The steps of each thing, in order. */
  chains: readonly Int32Array[];
  /** What each step needs of other things. */
  needs: readonly (readonly number[])[];
  /** The same of all steps of each thing. */
  needsOf: readonly (readonly number[])[];
  /** For each thing and place how many runs of each pencil are left from there on: chain.length + 1 rows of `pencils`. */
  runsLeft: readonly Uint16Array[];
}

/**
 * @throws RangeError when a step waits for one that is not there or that stands behind it in its own thing
 */
export function problemOf(steps: readonly Step[]): Problem {
  const numbers = new Map(steps.map(({ id }, i) => [id, i]));
  const pencils = numbered(steps.map(inHand));
  const things = numbered(steps.map(({ thingId }) => thingId));
  const chains = Array.from({ length: things.count }, (): number[] => []);
  const place = Int32Array.from(steps, (_, i) => chains[things.of[i]!]!.push(i) - 1);
  const needs = steps.map(({ after, thingId }, i) =>
    after.flatMap((id) => {
      const before = numbers.get(id);
      if (before === undefined || (steps[before]!.thingId === thingId && place[before]! >= place[i]!)) {
        throw new RangeError('Some steps wait for each other or for a step that is not there.');
      }
      return steps[before]!.thingId === thingId ? [] : [before];
    }),
  );
  const ordered = chains.map((chain) => Int32Array.from(chain));
  return {
    pencil: pencils.of,
    pencils: pencils.count,
    thing: things.of,
    place,
    chains: ordered,
    needs,
    needsOf: chains.map((chain) => chain.flatMap((step) => needs[step]!)),
    runsLeft: ordered.map((chain) => runsFrom(chain, pencils.of, pencils.count)),
  };
}

function numbered(names: readonly string[]): { of: Int32Array; count: number } {
  const known = new Map<string, number>();
  const of = Int32Array.from(names, (name) => {
    if (!known.has(name)) known.set(name, known.size);
    return known.get(name)!;
  });
  return { of, count: known.size };
}

/** For each place of a chain, and behind its last, how many runs of each pencil are left from there on. */
export function runsFrom(chain: Int32Array, pencil: Int32Array, pencils: number): Uint16Array {
  const left = new Uint16Array((chain.length + 1) * pencils);
  for (let i = chain.length - 1; i >= 0; i--) {
    left.copyWithin(i * pencils, (i + 1) * pencils, (i + 2) * pencils);
    const own = pencil[chain[i]!]!;
    if (i === chain.length - 1 || pencil[chain[i + 1]!] !== own) left[i * pencils + own]!++;
  }
  return left;
}

/** Whether the next step of a thing can be done, by how many of each thing are done. */
export function isReady({ chains, needs, thing, place }: Problem, done: Uint16Array, t: number): boolean {
  if (done[t]! >= chains[t]!.length) return false;
  const own = needs[chains[t]![done[t]!]!]!;
  for (const before of own) if (place[before]! >= done[thing[before]!]!) return false;
  return true;
}

/**
 * Does all that one pencil can do: whatever becomes ready meanwhile is done too.
 * @param done how many steps of each thing are done; is changed
 * @param among the things that may be worked on
 * @param each is told every step as it is done
 * @returns whether anything was done
 */
export function doAll(
  problem: Problem,
  done: Uint16Array,
  pencil: number,
  among: readonly number[],
  each?: (step: number) => void,
): boolean {
  let any = false;
  for (let more = true; more;) {
    more = false;
    for (const t of among) {
      while (isReady(problem, done, t) && problem.pencil[problem.chains[t]![done[t]!]!] === pencil) {
        each?.(problem.chains[t]![done[t]!]!);
        done[t]!++;
        any = more = true;
      }
    }
  }
  return any;
}

/**
 * The most things that an order has begun and unfinished when a pencil is put down.
 * @returns Infinity for an order that breaks what steps need or leaves some out
 */
export function mostOpenIn({ chains, needs, thing, place, pencil }: Problem, order: readonly number[]): number {
  const done = new Uint16Array(chains.length);
  let [open, most] = [0, 0];
  for (const [i, step] of order.entries()) {
    const t = thing[step]!;
    if (place[step] !== done[t]) return Infinity;
    for (const before of needs[step]!) if (place[before]! >= done[thing[before]!]!) return Infinity;
    if (done[t]!++ === 0) open++;
    if (done[t] === chains[t]!.length) open--;
    if (i + 1 === order.length || pencil[order[i + 1]!] !== pencil[step]) most = Math.max(most, open);
  }
  return order.length === thing.length ? most : Infinity;
}
