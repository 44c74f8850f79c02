import { type Opened } from './few-open.ts';
import { type Problem, isReady } from './problem.ts';

/** How a beam looks: how many states it keeps after each run, and how far their estimates are shaken, in pick-ups. */
export interface BeamWidth {
  width: number;
  shake: number;
}

/** So many things at the most are looked at that might be opened for one run. */
const OPENED_AT_ONCE = [0, 1, 2, 4, 8, 1000];
/** Others may come to their turn after so many states. */
const EVERY = 16;

interface State {
  /** How many steps of each thing are done. */
  done: Uint16Array;
  /** The things that are begun and unfinished. */
  open: readonly number[];
  /** Runs that things which are not begun will want, each by itself. */
  closedRuns: number;
  key: number;
  /** The steps of the run that led here, and where it began. */
  run: readonly number[];
  before: State | null;
  depth: number;
  score: number;
}

/**
 * A beam over runs with no more than so many things open. A run takes one pencil, does all that it can on open things and
 * opens some, none or all of those that begin with it. States that took as many runs are kept by how many they will still
 * take: for open things as often as the one that wants a pencil most wants it, for the others a share of their runs.
 */
export class OpeningBeam {
  readonly #problem: Problem;
  readonly #limit: number;
  readonly #random: () => number;
  /** Things by the pencil that they begin with. */
  readonly #beginWith: readonly (readonly number[])[];
  readonly #runs: Float64Array;
  readonly #all: number;
  /** For each thing and number of steps done the pencils that are still wanted, each with how many runs of it. */
  readonly #wants: readonly (readonly Uint16Array[])[];
  readonly #most: Uint16Array;
  readonly #mixed: readonly Float64Array[];

  constructor(problem: Problem, limit: number, random: () => number) {
    this.#problem = problem;
    this.#limit = limit;
    this.#random = random;
    const { chains, pencil, pencils } = problem;
    const beginWith: number[][] = Array.from({ length: pencils }, () => []);
    chains.forEach((chain, t) => beginWith[pencil[chain[0]!]!]!.push(t));
    this.#beginWith = beginWith;
    this.#wants = problem.runsLeft.map((rows, t) =>
      Array.from({ length: chains[t]!.length + 1 }, (_, from) => {
        const own: number[] = [];
        for (let p = 0; p < pencils; p++) {
          const runs = rows[from * pencils + p]!;
          if (runs > 0) own.push(p, runs);
        }
        return Uint16Array.from(own);
      }),
    );
    this.#runs = Float64Array.from(this.#wants, ([first]) => {
      let sum = 0;
      for (let w = 1; w < first!.length; w += 2) sum += first![w]!;
      return sum;
    });
    this.#all = this.#runs.reduce((sum, runs) => sum + runs, 0);
    this.#most = new Uint16Array(pencils);
    this.#mixed = chains.map((chain) =>
      Float64Array.from({ length: chain.length + 1 }, () => Math.floor(random() * 2 ** 52)),
    );
  }

  /**
   * @param most no more runs than this
   * @param shared into how many runs a run of a thing that is not begun is reckoned, 0..1: what the best order so far came to
   * @param from steps that are done first, in order
   * @param pause lets others come to their turn; is called often, and tells whether there is no more time
   * @returns null where there is no more time, no order takes fewer runs than `most`, or all that are open wait for one that is not
   */
  async solve(
    { width, shake }: BeamWidth,
    { most, shared, from = [] }: { most: number; shared: number; from?: readonly number[] },
    pause: () => Promise<boolean>,
  ): Promise<Opened | null> {
    let states = [this.#after(from)];
    const begun = states[0]!.depth;
    const end = this.#problem.thing.length;
    let count = 0;
    for (let depth = begun + 1; depth <= most; depth++) {
      const next = new Map<number, State>();
      for (const state of states) {
        if (++count % EVERY === 0 && (await pause())) return null;
        for (const reached of this.#next(state)) {
          if (next.has(reached.key)) continue;
          const left = this.#openLeft(reached) + shared * reached.closedRuns;
          if (left === 0) return this.#orderOf(reached, end);
          reached.score = left + shake * this.#random();
          next.set(reached.key, reached);
        }
      }
      states = [...next.values()].sort((p, q) => p.score - q.score).slice(0, width);
      if (states.length === 0) return null;
    }
    return null;
  }

  /** Runs that all things would take, each by itself. */
  get runsApart(): number {
    return this.#all;
  }

  #after(steps: readonly number[]): State {
    const { chains, thing, pencil } = this.#problem;
    const done = new Uint16Array(chains.length);
    let [depth, held] = [0, -1];
    for (const step of steps) {
      done[thing[step]!]!++;
      if (pencil[step] !== held) depth++;
      held = pencil[step]!;
    }
    const open = [...chains.keys()].filter((t) => done[t]! > 0 && done[t]! < chains[t]!.length);
    let closedRuns = 0;
    let key = 0;
    for (const [t] of chains.entries()) {
      if (done[t]! === 0) closedRuns += this.#runs[t]!;
      key = mixedWith(key, this.#mixed[t]![done[t]!]!);
    }
    return { done, open, closedRuns, key, run: steps, before: null, depth, score: 0 };
  }

  *#next(state: State): Generator<State> {
    const { chains, pencil } = this.#problem;
    const pencils = new Set<number>();
    for (const t of state.open)
      if (isReady(this.#problem, state.done, t)) pencils.add(pencil[chains[t]![state.done[t]!]!]!);
    if (state.open.length < this.#limit) {
      this.#beginWith.forEach((things, p) => {
        if (!pencils.has(p) && things.some((t) => state.done[t]! === 0 && isReady(this.#problem, state.done, t)))
          pencils.add(p);
      });
    }
    for (const p of pencils) {
      let opened = -1;
      for (const atMost of OPENED_AT_ONCE) {
        const reached = this.#run(state, p, atMost);
        // What opens no more than before is the same.
        if (reached.opened === opened) break;
        opened = reached.opened;
        if (reached.state.run.length > 0) yield reached.state;
        if (opened < atMost) break;
      }
    }
  }

  /** Takes up one pencil, and opens so many things with it at most. */
  #run(from: State, p: number, atMost: number): { state: State; opened: number } {
    const { chains, pencil } = this.#problem;
    const done = from.done.slice();
    const open = [...from.open];
    const run: number[] = [];
    let { closedRuns, key } = from;
    let opened = 0;
    const goOn = (t: number) => {
      const was = done[t]!;
      while (isReady(this.#problem, done, t) && pencil[chains[t]![done[t]!]!] === p) run.push(chains[t]![done[t]!++]!);
      if (done[t] === was) return false;
      key = mixedWith(mixedWith(key, this.#mixed[t]![was]!), this.#mixed[t]![done[t]!]!);
      return true;
    };
    for (let more = true; more;) {
      more = false;
      for (let k = 0; k < open.length; k++) {
        const t = open[k]!;
        if (goOn(t)) more = true;
        if (done[t] === chains[t]!.length) open.splice(k--, 1);
      }
      if (opened >= atMost || open.length >= this.#limit) continue;
      const best = this.#bestToOpen(p, done, open);
      if (best < 0) continue;
      closedRuns -= this.#runs[best]!;
      opened++;
      goOn(best);
      if (done[best]! < chains[best]!.length) open.push(best);
      more = true;
    }
    return { state: { done, open, closedRuns, key, run, before: from, depth: from.depth + 1, score: 0 }, opened };
  }

  /** Of the things that begin with a pencil the one whose other pencils open things want most anyway; -1 where there is none. */
  #bestToOpen(p: number, done: Uint16Array, open: readonly number[]): number {
    const wanted = this.#most.fill(0);
    for (const t of open) {
      const wants = this.#wants[t]![done[t]!]!;
      for (let w = 0; w < wants.length; w += 2) wanted[wants[w]!] = Math.max(wanted[wants[w]!]!, wants[w + 1]!);
    }
    let [best, least] = [-1, Infinity];
    for (const t of this.#beginWith[p]!) {
      if (done[t] !== 0 || !isReady(this.#problem, done, t)) continue;
      const wants = this.#wants[t]![0]!;
      let apart = 0.7 * this.#random();
      for (let w = 0; w < wants.length; w += 2) {
        if (wants[w] !== p) apart += Math.max(0, wants[w + 1]! - wanted[wants[w]!]!);
      }
      if (apart < least) [best, least] = [t, apart];
    }
    return best;
  }

  /** How often pencils must still be taken up for what is open. */
  #openLeft({ done, open }: State): number {
    const most = this.#most.fill(0);
    let all = 0;
    for (const t of open) {
      const wants = this.#wants[t]![done[t]!]!;
      for (let w = 0; w < wants.length; w += 2) {
        const more = wants[w + 1]! - most[wants[w]!]!;
        if (more > 0) {
          most[wants[w]!]! += more;
          all += more;
        }
      }
    }
    return all;
  }

  #orderOf(last: State, steps: number): Opened | null {
    const runs: (readonly number[])[] = [];
    for (let at: State | null = last; at; at = at.before) runs.push(at.run);
    const order = runs.reverse().flat();
    return order.length === steps ? { steps: order, pickUps: last.depth, beyond: 0 } : null;
  }
}

/** Adds a number to a key or takes it out again: order does not matter. */
function mixedWith(key: number, other: number): number {
  const high = Math.floor(key / 2 ** 26) ^ Math.floor(other / 2 ** 26);
  const low = (key % 2 ** 26) ^ (other % 2 ** 26);
  return (high >>> 0) * 2 ** 26 + (low >>> 0);
}
