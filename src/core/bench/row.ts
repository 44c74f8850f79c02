import { type Problem } from './problem.ts';

/** A run that a thing could use is passed over once in so many, so that the same thing is not always put back the same way. */
const PASSED_OVER = 0.02;
/** What it weighs that a thing is open over a change of pencil, in runs: of places that cost the same the nearest are taken. */
const OPEN = 0.002;

/**
 * An order as a row of runs, each of one pencil, with the run that each step is in. Things can be taken out and put back
 * where they need the fewest runs of their own. Places in the row are numbered: run r is at 2 r + 1, and the gaps before and
 * behind it at 2 r and 2 r + 2.
 */
export class Row {
  /** How many runs there are. */
  runs = 0;
  readonly #problem: Problem;
  readonly #limit: number;
  readonly #random: () => number;
  readonly #neededBy: readonly (readonly number[])[];
  /** The pencil of each run. */
  readonly #pencil: Int32Array;
  /** The run that each step is in; -1 while its thing is taken out. */
  readonly #runOf: Int32Array;
  /** Things that are open in each gap, and for each gap the next in which there is no room. */
  readonly #open: Int32Array;
  readonly #full: Int32Array;
  /** The runs of each pencil: those of p from entry first[p] to first[p + 1]. */
  readonly #first: Int32Array;
  readonly #ofPencil: Int32Array;
  /** What is looked at to put a thing back: one node for each of its steps and each run that this step could be in. */
  readonly #nodes = { step: [] as number[], place: [] as number[], cost: [] as number[], from: [] as number[] };
  readonly #spare: Int32Array;

  constructor(problem: Problem, limit: number, random: () => number) {
    this.#problem = problem;
    this.#limit = limit;
    this.#random = random;
    const count = problem.pencil.length;
    const neededBy: number[][] = Array.from({ length: count }, () => []);
    problem.needs.forEach((own, step) => own.forEach((before) => neededBy[before]!.push(step)));
    this.#neededBy = neededBy;
    this.#pencil = new Int32Array(count + 1);
    this.#runOf = new Int32Array(count).fill(-1);
    this.#open = new Int32Array(count + 2);
    this.#full = new Int32Array(count + 2);
    this.#first = new Int32Array(problem.pencils + 1);
    this.#ofPencil = new Int32Array(count + 1);
    this.#spare = new Int32Array(count + 1);
  }

  /** Lays steps in this order. */
  lay(order: readonly number[]): void {
    this.runs = 0;
    for (const step of order) {
      const own = this.#problem.pencil[step]!;
      if (this.runs === 0 || this.#pencil[this.runs - 1] !== own) this.#pencil[this.runs++] = own;
      this.#runOf[step] = this.runs - 1;
    }
    this.#index();
  }

  copy(other: Row): void {
    this.runs = other.runs;
    this.#pencil.set(other.#pencil.subarray(0, other.runs));
    this.#runOf.set(other.#runOf);
    this.#open.set(other.#open.subarray(0, other.runs + 2));
  }

  beginOf(t: number): number {
    return this.#runOf[this.#problem.chains[t]![0]!]!;
  }

  endOf(t: number): number {
    const chain = this.#problem.chains[t]!;
    return this.#runOf[chain[chain.length - 1]!]!;
  }

  isIn(t: number, run: number): boolean {
    for (const step of this.#problem.chains[t]!) if (this.#runOf[step] === run) return true;
    return false;
  }

  /** Takes things out; runs in which nothing is left go, and those of the same pencil that come together become one. */
  takeOut(things: readonly number[]): void {
    const [runOf, pencil, becomes] = [this.#runOf, this.#pencil, this.#spare];
    for (const t of things) for (const step of this.#problem.chains[t]!) runOf[step] = -1;
    becomes.fill(0, 0, this.runs);
    for (let step = 0; step < runOf.length; step++) if (runOf[step]! >= 0) becomes[runOf[step]!] = 1;
    let count = 0;
    for (let run = 0; run < this.runs; run++) {
      if (becomes[run] === 0) continue;
      if (count === 0 || pencil[count - 1] !== pencil[run]) pencil[count++] = pencil[run]!;
      becomes[run] = count - 1;
    }
    this.runs = count;
    for (let step = 0; step < runOf.length; step++) if (runOf[step]! >= 0) runOf[step] = becomes[runOf[step]!]!;
    this.#index();
  }

  /**
   * Puts a thing back where it needs the fewest runs of its own: the cheapest way through the runs that its steps could be
   * in, where what lies between two of them takes runs of its own.
   * @returns whether there is a place
   */
  putBack(t: number): boolean {
    const chain = this.#problem.chains[t]!;
    const window = this.#windowOf(chain);
    if (!window) return false;
    const { lower, upper } = window;
    const { step, place, cost, from } = this.#nodes;
    const { pencil } = this.#problem;
    let nodes = 0;
    let [best, last] = [Infinity, -1];
    for (let j = 0; j < chain.length; j++) {
      const own = pencil[chain[j]!]!;
      for (let k = this.#first[own]!; k < this.#first[own + 1]!; k++) {
        const at = 2 * this.#ofPencil[k]! + 1;
        if (at < lower[j]! || at > upper[j]! || this.#random() < PASSED_OVER) continue;
        let [least, leastFrom] = [this.#ledUpTo(chain, j, at, lower, upper), -1];
        for (let n = 0; n < nodes; n++) {
          const i = step[n]!;
          const before = place[n]!;
          if (before > at || cost[n]! >= least) continue;
          const isSameRun = before === at;
          if (isSameRun ? i !== j - 1 : i === j || this.#full[(before + 1) / 2]! < at) continue;
          const between = isSameRun ? 0 : this.#runsBetween(chain, i + 1, j, before, at, lower, upper);
          const all = cost[n]! + between + (OPEN * (at - before)) / 2;
          if (all < least) [least, leastFrom] = [all, n];
        }
        if (least === Infinity) continue;
        step[nodes] = j;
        place[nodes] = at;
        cost[nodes] = least;
        from[nodes] = leastFrom;
        const end = this.#runsBetween(chain, j + 1, chain.length, at, this.#full[(at + 1) / 2]!, lower, upper);
        if (least + end < best) [best, last] = [least + end, nodes];
        nodes++;
      }
    }
    const at = this.#placesOf(chain, last, lower, upper, best);
    if (!at) return false;
    this.#put(chain, at);
    return true;
  }

  /** How often a thing is opened beyond the limit. */
  get beyond(): number {
    let beyond = 0;
    for (let gap = 1; gap <= this.runs; gap++)
      beyond += Math.max(0, this.#open[gap]! - Math.max(this.#limit, this.#open[gap - 1]!));
    return beyond;
  }

  /** The pencils in the order in which they are picked up. */
  get pencils(): number[] {
    return [...this.#pencil.subarray(0, this.runs)];
  }

  /** The steps in order: within a run each once what it needs is done. @throws RangeError where some wait for each other */
  steps(): number[] {
    const { thing, place, needs } = this.#problem;
    const inRun: number[][] = Array.from({ length: this.runs }, () => []);
    this.#runOf.forEach((run, step) => inRun[run]!.push(step));
    const done = new Uint8Array(this.#runOf.length);
    const steps: number[] = [];
    for (const run of inRun) {
      let left = run.sort((p, q) => thing[p]! - thing[q]! || place[p]! - place[q]!);
      while (left.length > 0) {
        const blocked = new Set<number>();
        const later = left.filter((step) => {
          if (!blocked.has(thing[step]!) && needs[step]!.every((before) => done[before])) {
            done[step] = 1;
            steps.push(step);
            return false;
          }
          blocked.add(thing[step]!);
          return true;
        });
        if (later.length === left.length) throw new RangeError('Some steps wait for each other.');
        left = later;
      }
    }
    return steps;
  }

  /** What is open in each gap, and the runs of each pencil. */
  #index(): void {
    const [runOf, open, first] = [this.#runOf, this.#open, this.#first];
    open.fill(0, 0, this.runs + 2);
    for (const chain of this.#problem.chains) {
      const begin = runOf[chain[0]!]!;
      if (begin < 0) continue;
      open[begin + 1]!++;
      open[runOf[chain[chain.length - 1]!]! + 1]!--;
    }
    for (let gap = 1; gap <= this.runs; gap++) open[gap]! += open[gap - 1]!;
    this.#findFull();
    first.fill(0);
    for (let run = 0; run < this.runs; run++) first[this.#pencil[run]! + 1]!++;
    for (let p = 0; p < this.#problem.pencils; p++) first[p + 1]! += first[p]!;
    const next = first.slice();
    for (let run = 0; run < this.runs; run++) this.#ofPencil[next[this.#pencil[run]!]!++] = run;
  }

  #findFull(): void {
    let next = 2 * this.runs + 2;
    for (let gap = this.runs; gap >= 0; gap--) {
      if (this.#open[gap]! >= this.#limit) next = 2 * gap;
      this.#full[gap] = next;
    }
  }

  /** Between which places each step of a thing may be, by what it needs and what needs it; null where there is none. */
  #windowOf(chain: Int32Array): { lower: Int32Array; upper: Int32Array } | null {
    const lower = new Int32Array(chain.length);
    const upper = new Int32Array(chain.length).fill(2 * this.runs);
    for (let j = 0; j < chain.length; j++) {
      if (j > 0) lower[j] = lower[j - 1]!;
      for (const before of this.#problem.needs[chain[j]!]!)
        lower[j] = Math.max(lower[j]!, 2 * this.#runOf[before]! + 1);
    }
    for (let j = chain.length - 1; j >= 0; j--) {
      if (j + 1 < chain.length) upper[j] = upper[j + 1]!;
      for (const after of this.#neededBy[chain[j]!]!)
        if (this.#runOf[after]! >= 0) upper[j] = Math.min(upper[j]!, 2 * this.#runOf[after]! + 1);
      if (lower[j]! > upper[j]!) return null;
    }
    return { lower, upper };
  }

  /** Runs of their own that the steps before one at a place take; Infinity where they cannot be laid there. */
  #ledUpTo(chain: Int32Array, j: number, at: number, lower: Int32Array, upper: Int32Array): number {
    if (j === 0) return 0;
    const { pencil } = this.#problem;
    let [gap, runs] = [at - 1, 0];
    for (let i = j - 1; i >= 0; i--) {
      gap = Math.min(gap, upper[i]!);
      if (gap % 2 === 1) gap--;
      if (gap < lower[i]!) return Infinity;
      if (i === j - 1 || pencil[chain[i]!] !== pencil[chain[i + 1]!]) runs++;
    }
    return this.#full[gap / 2]! < at ? Infinity : runs + (OPEN * (at - gap)) / 2;
  }

  /** Runs of their own that steps from one to before another take between two places; Infinity where they have no room. */
  #runsBetween(
    chain: Int32Array,
    from: number,
    to: number,
    after: number,
    before: number,
    lower: Int32Array,
    upper: Int32Array,
  ): number {
    const { pencil } = this.#problem;
    let [gap, runs] = [after, 0];
    for (let i = from; i < to; i++) {
      gap = Math.max(gap, lower[i]!);
      if (gap % 2 === 1) gap++;
      if (gap > upper[i]! || gap >= before) return Infinity;
      if (i === from || pencil[chain[i]!] !== pencil[chain[i - 1]!]) runs++;
    }
    return runs;
  }

  /** The place of each step of a thing whose last step in a run of others is known; null where there is none. */
  #placesOf(chain: Int32Array, last: number, lower: Int32Array, upper: Int32Array, most: number): Int32Array | null {
    const at = new Int32Array(chain.length);
    const alone = this.#alone(chain, lower, upper);
    if (alone && alone.runs < most) return alone.at;
    if (last < 0) return null;
    const { step, place, from } = this.#nodes;
    const forth = (i: number, gap: number) => {
      const next = Math.max(gap, lower[i]!);
      return next % 2 === 1 ? next + 1 : next;
    };
    for (let j = step[last]! + 1, gap = place[last]!; j < chain.length; j++) at[j] = gap = forth(j, gap);
    for (let n = last; n >= 0; n = from[n]!) {
      at[step[n]!] = place[n]!;
      const before = from[n]!;
      if (before >= 0) {
        for (let j = step[before]! + 1, gap = place[before]!; j < step[n]!; j++) at[j] = gap = forth(j, gap);
        continue;
      }
      for (let j = step[n]! - 1, gap = place[n]! - 1; j >= 0; j--) {
        gap = Math.min(gap, upper[j]!);
        at[j] = gap = gap % 2 === 1 ? gap - 1 : gap;
      }
    }
    return at;
  }

  /** A thing all in runs of its own, from some gap on; null where none has room for it. */
  #alone(chain: Int32Array, lower: Int32Array, upper: Int32Array): { at: Int32Array; runs: number } | null {
    const { pencil } = this.#problem;
    const at = new Int32Array(chain.length);
    const gaps = Math.floor(upper[0]! / 2) - Math.ceil(lower[0]! / 2) + 1;
    const begin = Math.floor(this.#random() * gaps);
    const isOneRun = chain.every((each) => pencil[each] === pencil[chain[0]!]);
    for (let k = 0; k < gaps; k++) {
      let gap = 2 * (Math.ceil(lower[0]! / 2) + ((begin + k) % gaps));
      const first = gap;
      let runs = 0;
      let fits = true;
      for (let j = 0; j < chain.length && fits; j++) {
        gap = Math.max(gap, lower[j]!);
        if (gap % 2 === 1) gap++;
        at[j] = gap;
        fits = gap <= upper[j]!;
        if (j === 0 || pencil[chain[j]!] !== pencil[chain[j - 1]!]) runs++;
      }
      if (fits && ((isOneRun && gap === first) || this.#full[first / 2]! > gap)) return { at, runs };
    }
    return null;
  }

  /** Puts a thing's steps at places, in gaps with runs of their own. */
  #put(chain: Int32Array, at: Int32Array): void {
    const { pencil: wanted } = this.#problem;
    const [runOf, pencil] = [this.#runOf, this.#pencil];
    let isAmongRuns = true;
    for (let j = 0; j < chain.length; j++) {
      if (at[j]! % 2 === 0) isAmongRuns = false;
      else runOf[chain[j]!] = (at[j]! - 1) / 2;
    }
    if (isAmongRuns) {
      for (let gap = runOf[chain[0]!]! + 1; gap <= runOf[chain[chain.length - 1]!]!; gap++) this.#open[gap]!++;
      this.#findFull();
      return;
    }
    const was = pencil.slice(0, this.runs);
    const shift = this.#spare;
    const own = new Int32Array(chain.length);
    let next = 0;
    for (let q = 0, j = 0; q <= 2 * was.length; q++) {
      if (q % 2 === 1) {
        shift[(q - 1) / 2] = next;
        for (; at[j] === q; j++) own[j] = next;
        pencil[next++] = was[(q - 1) / 2]!;
        continue;
      }
      for (let isFirst = true; at[j] === q; j++, isFirst = false) {
        if (isFirst || pencil[next - 1] !== wanted[chain[j]!]) pencil[next++] = wanted[chain[j]!]!;
        own[j] = next - 1;
      }
    }
    for (let step = 0; step < runOf.length; step++) if (runOf[step]! >= 0) runOf[step] = shift[runOf[step]!]!;
    for (let j = 0; j < chain.length; j++) runOf[chain[j]!] = own[j]!;
    this.runs = next;
    this.#index();
  }
}
