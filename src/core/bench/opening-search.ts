import { type Opened, costOf } from './few-open.ts';
import { OpeningAnnealer } from './opening-annealer.ts';
import { OpeningBeam } from './opening-beam.ts';
import { type Problem } from './problem.ts';

/** A beam keeps so many states, fewer the more steps there are: each run of a large page takes as long. */
const WIDTH = { most: 60, least: 3, states: 12_000 };
/** How far estimates are shaken, in pick-ups, but for the first time. */
const SHAKE = 1;
/** A beam looks again in one round of so many, at what follows some beginning of the best order. */
const BEAM_EVERY = 3;
/** What runs of closed things are reckoned at, over what the best order came to: a beam that reckons otherwise finds others. */
const RECKONED = [1, 0.85, 1.1, 0.7];

/**
 * A search for an order with at most so many things open: a beam over runs first, then by turns the annealing of the order
 * of opening and beams over what follows a beginning of the best.
 */
export class OpeningSearch {
  readonly #annealer: OpeningAnnealer;
  readonly #beam: OpeningBeam;
  readonly #width: number;
  readonly #random: () => number;
  #found: Opened | null = null;
  #beams = 0;

  constructor(problem: Problem, first: readonly number[], limit: number, random: () => number) {
    this.#annealer = new OpeningAnnealer(problem, first, limit, random);
    this.#beam = new OpeningBeam(problem, limit, random);
    this.#random = random;
    this.#width = Math.max(WIDTH.least, Math.min(WIDTH.most, Math.floor(WIDTH.states / problem.thing.length)));
  }

  get best(): Opened {
    const { best } = this.#annealer;
    return this.#found && costOf(this.#found) < costOf(best) ? this.#found : best;
  }

  /**
   * @param round from 0
   * @param pause lets others come to their turn; is called often, and tells whether there is no more time
   */
  async improve(round: number, pause: () => Promise<boolean>): Promise<void> {
    if (round % BEAM_EVERY > 0) {
      await this.#annealer.improve(round, pause);
      return;
    }
    const { steps, beyond, pickUps } = this.best;
    const isFirst = this.#beams === 0;
    const from = isFirst || this.#random() < 0.5 ? 0 : Math.floor(0.7 * this.#random() * steps.length);
    const found = await this.#beam.solve(
      { width: this.#width, shake: isFirst ? 0 : SHAKE },
      {
        most: beyond > 0 ? steps.length : pickUps - 1,
        shared: (RECKONED[this.#beams % RECKONED.length]! * pickUps) / this.#beam.runsApart,
        from: beyond > 0 ? [] : steps.slice(0, from),
      },
      pause,
    );
    this.#beams++;
    if (found) this.#found = found;
  }
}
