import isEqual from 'fast-deep-equal/es6/index.js';
import { type Outcome } from './job.ts';
import { type JobUnderWay } from './job-client.ts';

/** Asks for something, be it quickly or more finely. */
export type Ask<T> = () => JobUnderWay<T>;

/** What is shown: a job's result, or a sentence that says why there is none. */
export type Shown<T> = Exclude<Outcome<T>, { kind: 'cancelled' }>;

/**
 * The newest answer to a question that keeps changing: while one is under way only the latest of those that follow waits,
 * so that what is shown keeps up however fast it changes, and every job that is begun comes to something.
 */
export class NewestAnswer<T, Inputs> {
  readonly #show: (answer: Shown<T>, of: Inputs) => void;
  readonly #abandons: boolean;
  #last: { of: Inputs } | null = null;
  #waiting: { asks: readonly Ask<T>[]; of: Inputs } | null = null;
  #underWay: JobUnderWay<T> | null = null;

  /** @param abandons whether what is under way is stopped when something else is asked for, as what takes long should be */
  constructor(show: (answer: Shown<T>, of: Inputs) => void, abandons = false) {
    this.#show = show;
    this.#abandons = abandons;
  }

  /**
   * @param asks ways to ask for the same, a quick one first and finer ones after it; these are left out once something
   *   else is asked for
   * @param of what is asked about: it comes back with the answer; the same as before asks nothing
   */
  ask(asks: readonly Ask<T>[], of: Inputs): void {
    if (this.#last !== null && isEqual(this.#last.of, of)) return;
    this.#last = { of };
    this.#waiting = { asks, of };
    if (this.#underWay === null) void this.#goOn();
    else if (this.#abandons) this.#underWay.cancel();
  }

  /** Nothing is wanted any more for now: what waits is dropped, and what is asked next is asked anew. */
  leave(): void {
    this.#last = null;
    this.#waiting = null;
    if (this.#abandons) this.#underWay?.cancel();
  }

  /** Leaves what waits and what is under way. */
  stop(): void {
    this.leave();
    this.#underWay?.cancel();
  }

  async #goOn(): Promise<void> {
    while (this.#waiting !== null) {
      const { asks, of } = this.#waiting;
      this.#waiting = null;
      for (const ask of asks) {
        this.#underWay = ask();
        const outcome = await this.#underWay.outcome;
        if (outcome.kind === 'cancelled') break;
        this.#show(outcome, of);
        if (outcome.kind === 'refused' || this.#waiting !== null) break;
      }
    }
    this.#underWay = null;
  }
}
