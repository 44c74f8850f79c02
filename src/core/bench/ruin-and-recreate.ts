import { type Opened, TOO_MANY } from './few-open.ts';
import { type Problem } from './problem.ts';
import { Row } from './row.ts';

/** So many things are taken out of an order and put back at the most, or this times as many as a run works on. */
const TAKEN_OUT = { most: 9, perRun: 2 };
/** An order that is dearer by this many runs is gone on with about once in three: when warm, and when cooled down. */
const WARMTH = { warm: 0.3, cool: 0.05 };
/** The search cools down over this many tries a thing, then begins anew from the best and takes longer by this. */
const COOLS = { tries: 40, longer: 1.6 };

/**
 * Makes the runs of an order fewer by taking some things out of it and putting each back where it needs the fewest runs
 * of its own (ruin and recreate, by G. Schrimpf, J. Schneider, H. Stamm-Wilbrandt and G. Dueck, 2000), going on with what
 * is dearer now and then. Nothing is put where more things than may be would be open when a pencil is put down.
 */
export class RuinAndRecreate {
  readonly #problem: Problem;
  readonly #random: () => number;
  readonly #best: Row;
  #now: Row;
  #tried: Row;
  /** Tries until it is cool, and those of them that were made. */
  #cooling: number;
  #made = 0;

  /**
   * @param order valid, perhaps with more things open than may be
   * @param limit things that may be open when a pencil is put down, 1 or more
   */
  constructor(problem: Problem, order: readonly number[], limit: number, random: () => number) {
    this.#problem = problem;
    this.#random = random;
    this.#cooling = COOLS.tries * problem.chains.length;
    [this.#now, this.#tried, this.#best] = [
      new Row(problem, limit, random),
      new Row(problem, limit, random),
      new Row(problem, limit, random),
    ];
    this.goOnFrom(order);
    this.#best.copy(this.#now);
  }

  get best(): Opened {
    return { steps: this.#best.steps(), pickUps: this.#best.runs, beyond: this.#best.beyond };
  }

  get pickUps(): number {
    return this.#best.runs;
  }

  /** The pencils of the best order as they are picked up. */
  get runs(): readonly number[] {
    return this.#best.pencils;
  }

  /** Goes on from another order. */
  goOnFrom(order: readonly number[]): void {
    this.#now.lay(order);
    if (costOf(this.#now) < costOf(this.#best)) this.#best.copy(this.#now);
  }

  /** Tries once. @returns whether it came to a better order than any before */
  improve(): boolean {
    const warmth = WARMTH.warm * (WARMTH.cool / WARMTH.warm) ** (this.#made / this.#cooling);
    if (this.#made++ >= this.#cooling) {
      this.#now.copy(this.#best);
      this.#made = 0;
      this.#cooling *= COOLS.longer;
    }
    const tried = this.#tried;
    tried.copy(this.#now);
    const out = this.#chosen();
    tried.takeOut(out);
    for (const t of this.#inTurn(out)) if (!tried.putBack(t)) return false;
    const dearer = costOf(tried) - costOf(this.#now);
    if (dearer > 0 && this.#random() >= Math.exp(-dearer / warmth)) return false;
    [this.#now, this.#tried] = [tried, this.#now];
    if (costOf(this.#now) >= costOf(this.#best)) return false;
    this.#best.copy(this.#now);
    return true;
  }

  /** Things that have to do with each other: those of one run, and others that are open at about that time. */
  #chosen(): number[] {
    const { chains, pencil } = this.#problem;
    const row = this.#now;
    const usual = Math.max(TAKEN_OUT.most, (TAKEN_OUT.perRun * pencil.length) / row.runs);
    const most = Math.min(chains.length, 2 + Math.floor(this.#random() * (usual - 1)));
    const at = Math.floor(this.#random() * row.runs);
    const out = new Set<number>();
    const take = (isWanted: (t: number) => boolean) => {
      const from = Math.floor(this.#random() * chains.length);
      for (let k = 0; k < chains.length && out.size < most; k++) {
        const t = (from + k) % chains.length;
        if (isWanted(t)) out.add(t);
      }
    };
    if (this.#random() < 0.6) take((t) => row.isIn(t, at));
    const reach = Math.floor((this.#random() * row.runs) / 6);
    take((t) => row.beginOf(t) <= at + reach && row.endOf(t) >= at - reach);
    return [...out];
  }

  /** In any turn, or those with most steps first: they are the hardest to put back. */
  #inTurn(things: number[]): number[] {
    for (let i = things.length - 1; i > 0; i--) {
      const j = Math.floor(this.#random() * (i + 1));
      [things[i], things[j]] = [things[j]!, things[i]!];
    }
    const { chains } = this.#problem;
    if (this.#random() < 0.5) things.sort((p, q) => chains[q]!.length - chains[p]!.length);
    return things;
  }
}

function costOf({ runs, beyond }: Row): number {
  return runs + TOO_MANY * beyond;
}
