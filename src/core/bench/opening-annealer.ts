import { type Opened, costOf, shuffledOnce, decodeOpeningOrder } from './few-open.ts';
import { type Problem } from './problem.ts';

/** Orders of opening that are tried in one round. */
const TRIES = 6;
/** An order that is worse by so many pick-ups is gone on with about once in three at first, and less and less by rounds. */
const WARMTH = 0.8;
const COOLS_IN_ROUNDS = 60;

/** A search for the order in which things are best opened, with at most so many open: by annealing. */
export class OpeningAnnealer {
  best: Opened;
  readonly #problem: Problem;
  readonly #limit: number;
  readonly #random: () => number;
  #now: Opened;
  #opening: readonly number[];

  constructor(problem: Problem, first: readonly number[], limit: number, random: () => number) {
    this.#problem = problem;
    this.#limit = limit;
    this.#random = random;
    this.#opening = first;
    this.best = this.#now = decodeOpeningOrder(problem, first, limit, null);
  }

  /**
   * @param round from 0: the later, the less it goes on with what is worse
   * @param pause lets others come to their turn; is called often
   */
  async improve(round: number, pause: () => Promise<unknown>): Promise<void> {
    const warmth = WARMTH / (1 + round / COOLS_IN_ROUNDS);
    for (let i = 0; i < TRIES; i++) {
      await pause();
      const next = shuffledOnce(this.#opening, this.#random);
      const tried = decodeOpeningOrder(this.#problem, next, this.#limit, this.#random() < 0.5 ? this.#random : null);
      const worse = costOf(tried) - costOf(this.#now);
      if (worse <= 0 || this.#random() < Math.exp(-worse / warmth)) [this.#now, this.#opening] = [tried, next];
      if (costOf(tried) < costOf(this.best)) this.best = tried;
    }
  }
}
