import { withoutEmbedded } from './embedded.ts';
import { type Problem } from './problem.ts';

/**
 * What lies between two states of a page, counted from the first: only things that have steps in between, and of those
 * only the ones that are not done along with others anyway.
 */
export class Subproblem {
  /** The things, as the page numbers them. */
  readonly among: readonly number[];
  readonly things: number;
  /** Pencils of the steps in between, of each thing. */
  readonly #pencils: readonly Uint16Array[];
  /** For each thing and step what it needs of others of the stretch, as things and numbers of steps; null where that never comes. */
  readonly #needs: readonly (readonly (readonly (readonly [number, number])[] | null)[])[];
  readonly #isFree: boolean;
  /** For each thing and number of steps done the pencils that are still wanted, each with how many runs of it. */
  readonly #wants: readonly (readonly Uint16Array[])[];
  /** The most that any thing wants of each pencil: kept to be filled anew. */
  readonly #most: Uint16Array;
  readonly #mix: Int32Array;

  constructor(
    { chains, pencil, pencils, needs, thing, place }: Problem,
    among: readonly number[],
    start: Uint16Array,
    end: Uint16Array,
  ) {
    const between = (t: number) => chains[t]!.subarray(start[t], end[t]);
    const begun = among.filter((t) => start[t]! < end[t]!);
    const pencilsOf = (t: number) => Uint16Array.from(between(t), (step) => pencil[step]!);
    const bound = new Set<number>();
    for (const t of begun) {
      for (const step of between(t)) {
        for (const before of needs[step]!)
          if (place[before]! >= start[thing[before]!]!) bound.add(t).add(thing[before]!);
      }
    }
    const open = withoutEmbedded(begun.map(pencilsOf), (k) => bound.has(begun[k]!)).map((k) => begun[k]!);
    const local = new Map(open.map((t, k) => [t, k]));
    this.among = open;
    this.things = open.length;
    this.#most = new Uint16Array(pencils);
    this.#mix = Int32Array.from(open, (_, k) => Math.imul(k + 1, 0x9e3779b1) | 1);
    this.#pencils = open.map(pencilsOf);
    this.#needs = open.map((t) =>
      Array.from(between(t), (step) => {
        const own: [number, number][] = [];
        for (const before of needs[step]!) {
          const [u, at] = [thing[before]!, place[before]!];
          if (at < start[u]!) continue;
          const k = local.get(u);
          if (k === undefined || at >= end[u]!) return null;
          own.push([k, at - start[u]!]);
        }
        return own;
      }),
    );
    this.#isFree = this.#needs.every((own) => own.every((each) => each?.length === 0));
    this.#wants = this.#pencils.map((own) =>
      Array.from({ length: own.length + 1 }, (_, from) => runsOfEach(own, from)),
    );
  }

  #isReady(done: Uint16Array, k: number): boolean {
    if (done[k]! >= this.#pencils[k]!.length) return false;
    if (this.#isFree) return true;
    return this.#needs[k]![done[k]!]?.every(([other, at]) => done[other]! > at) ?? false;
  }

  #pencilsReady(done: Uint16Array): Set<number> {
    const ready = new Set<number>();
    for (let k = 0; k < this.things; k++) if (this.#isReady(done, k)) ready.add(this.#pencils[k]![done[k]!]!);
    return ready;
  }

  /** Does all that one pencil can do; `done` is changed. */
  #doAll(done: Uint16Array, pencil: number): void {
    for (let more = true; more;) {
      more = false;
      for (let k = 0; k < this.things; k++) {
        const own = this.#pencils[k]!;
        while (own[done[k]!] === pencil && this.#isReady(done, k)) {
          done[k]!++;
          more = !this.#isFree;
        }
      }
    }
  }

  /** Whether nothing wants a pencil any more. */
  #isThrough(done: Uint16Array, pencil: number): boolean {
    for (let k = 0; k < done.length; k++) {
      const wants = this.#wants[k]![done[k]!]!;
      for (let w = 0; w < wants.length; w += 2) if (wants[w] === pencil) return false;
    }
    return true;
  }

  /**
   * What may come next, each pencil with the state that it leads to once it has done all that it can. Where one comes to
   * its end, that alone: it is picked up once more in any case, and now is as good as later.
   */
  next(done: Uint16Array): { pencil: number; after: Uint16Array }[] {
    const all: { pencil: number; after: Uint16Array }[] = [];
    for (const pencil of this.#pencilsReady(done)) {
      const after = done.slice();
      this.#doAll(after, pencil);
      if (this.#isThrough(after, pencil)) return [{ pencil, after }];
      all.push({ pencil, after });
    }
    return all;
  }

  /** A number that tells states apart, to 53 bits. */
  keyOf(done: Uint16Array): number {
    let [high, low] = [0, 0];
    for (let k = 0; k < done.length; k++) {
      low = (low + Math.imul(done[k]! + 1, this.#mix[k]!)) | 0;
      high = (Math.imul(high, 31) + done[k]!) & 0x1fffff;
    }
    return high * 4_294_967_296 + (low >>> 0);
  }

  /** How often pencils must at least still be picked up: each as often as the thing that wants it most. */
  left(done: Uint16Array): number {
    const most = this.#most.fill(0);
    let [all, steps] = [0, 0];
    for (let k = 0; k < done.length; k++) {
      const wants = this.#wants[k]![done[k]!]!;
      for (let w = 0; w < wants.length; w += 2) {
        const more = wants[w + 1]! - most[wants[w]!]!;
        if (more <= 0) continue;
        most[wants[w]!]! += more;
        all += more;
      }
      steps += this.#pencils[k]!.length - done[k]!;
    }
    // Of states that need as many, the one with fewer steps left comes first.
    return all + steps / 10_000;
  }
}

/** The pencils from a step on, each followed by how many runs of it there are. */
function runsOfEach(own: Uint16Array, from: number): Uint16Array {
  const runs = new Map<number, number>();
  for (let i = from; i < own.length; i++) {
    if (i === from || own[i] !== own[i - 1]) runs.set(own[i]!, (runs.get(own[i]!) ?? 0) + 1);
  }
  return Uint16Array.from([...runs].flat());
}
