import { seededRandom } from '../random/index.ts';
import { type AcrossThePage, acrossThePage } from './across-the-page.ts';
import { type Costs, type Handedness, USUAL_COSTS } from './costs.ts';
import { type Opened, TOO_MANY, byLikeness, costOf, decodeOpeningOrder } from './few-open.ts';
import { byPlace } from './by-place.ts';
import { joinedSteps, likeThings } from './like-things.ts';
import { type Overhead, Pricing } from './overhead.ts';
import { Polish } from './polish.ts';
import { type Problem, doAll, mostOpenIn, problemOf } from './problem.ts';
import { RuinAndRecreate } from './ruin-and-recreate.ts';
import type { Step } from './schemas.ts';

/** Numbers of open things that are looked at, up to the one that is wished: an order for fewer is one for more. */
const LIMITS = [1, 2, 3, 4, 6, 8, 12, 20, 50];
/** So many times things are taken out and put back in one round. */
const TRIES = 40;

/** What a search keeps to. */
export interface OrderSearchOptions {
  costs?: Costs;
  hand?: Handedness;
  seed?: number;
  from?: readonly string[];
}

/** An order of joined steps with what it costs. */
interface Polished {
  steps: readonly number[];
  overhead: Overhead;
  /** How often more things than wished are opened. */
  beyond: number;
}

/** An order of all steps, and of the joined ones that it comes from. */
interface Found extends Polished {
  joined: readonly number[];
}

/** What an order costs in seconds, each thing that is opened beyond the limit counted as more than all else. */
export function priceOf({ overhead, beyond }: Pick<Polished, 'overhead' | 'beyond'>): number {
  return overhead.cost + TOO_MANY * beyond;
}

/** A search for an order with at most so many things open, like ones as one. */
export class OrderSearch {
  /** Numbers of open things that are looked at: the wished one first, since that mostly comes out best. */
  readonly limits: readonly number[];
  /** Sets of like things, by id. */
  readonly alike: readonly (readonly string[])[];
  best: Found;
  readonly #joined: readonly Step[];
  readonly #standsFor: ReadonlyMap<string, readonly Step[]>;
  readonly #problem: Problem;
  readonly #pricing: Pricing;
  readonly #wholePricing: Pricing;
  readonly #numberOf: ReadonlyMap<string, number>;
  readonly #looked = new Set<Polished>();
  readonly #seed: number;
  readonly #isUnlimited: boolean;
  /** Orders to begin from. */
  readonly #first: readonly (readonly number[])[];

  constructor(
    steps: readonly Step[],
    openThings: number,
    { costs = USUAL_COSTS, hand = 'right', seed = 1, from }: OrderSearchOptions,
  ) {
    const together = likeThings(steps, openThings === 1);
    const { steps: joined, standsFor } = joinedSteps(together);
    this.#joined = joined;
    this.#standsFor = standsFor;
    this.#problem = problemOf(joined);
    this.#pricing = new Pricing(joined, costs, hand);
    this.#wholePricing = new Pricing(steps, costs, hand);
    this.#numberOf = new Map(steps.map(({ id }, i) => [id, i]));
    this.#seed = seed;
    this.alike = together.sets.flatMap(({ places }) => (places.size > 1 ? [[...places.keys()]] : []));
    const things = this.#problem.chains.length;
    this.#isUnlimited = openThings >= things;
    this.limits = [
      ...(this.#isUnlimited ? [things] : []),
      ...LIMITS.filter((limit) => limit <= openThings && limit < things && (limit > 1 || openThings === 1)).reverse(),
    ];
    const before = from && this.#joinedOrder(from);
    this.#first = before ? [before] : [];
    this.best = this.#laidApart(decodeOpeningOrder(this.#problem, byLikeness(this.#problem), 1));
  }

  get mostOpen(): number {
    return mostOpenIn(this.#problem, this.best.joined);
  }

  /**
   * @param rounds for each of the limits
   * @param pause lets others come to their turn; is called often, and tells whether there is no more time
   * @param isDone is asked after each round
   */
  async run(rounds: number, pause: () => Promise<boolean>, isDone: () => Promise<boolean>): Promise<void> {
    for (const [k, limit] of this.limits.entries()) {
      // Each begins anew, so that more rounds only go on where fewer stopped.
      const search = new RuinAndRecreate(
        this.#problem,
        this.#beginning(limit),
        limit,
        seededRandom(this.#seed + limit),
      );
      const polisher = this.#polisher(limit, pause);
      this.#keep(await polisher.polish(search.best));
      if (await isDone()) return;
      const across =
        k === 0 && this.#isUnlimited ? await acrossThePage(this.#problem, seededRandom(this.#seed), pause) : null;
      for (let i = 0; i < rounds; i++) {
        if (across) {
          if (across.runs.length < search.pickUps) search.goOnFrom(laidOut(this.#problem, across));
          else if (search.pickUps < across.runs.length) across.goOnFrom(search.runs);
          await across.improve();
        }
        for (let t = 0; t < TRIES && !(await pause()); t++) search.improve();
        this.#keep(await polisher.polish(search.best));
        if (await isDone()) return;
      }
    }
  }

  /** The best order that is known to begin from with so many things open at most. */
  #beginning(limit: number): readonly number[] {
    const decoded = decodeOpeningOrder(this.#problem, byLikeness(this.#problem), limit);
    const before = this.#first.find((order) => mostOpenIn(this.#problem, order) <= limit);
    return before && (decoded.beyond > 0 || this.#runsIn(before) < decoded.pickUps) ? before : decoded.steps;
  }

  #runsIn(order: readonly number[]): number {
    const { pencil } = this.#problem;
    return order.filter((step, i) => i === 0 || pencil[order[i - 1]!] !== pencil[step]).length;
  }

  /** Joined steps as those that they stand for come up in an order first; null where it leaves some out. */
  #joinedOrder(ids: readonly string[]): number[] | null {
    const joinedIn = new Map<string, number>();
    this.#joined.forEach(({ id }, i) => this.#standsFor.get(id)!.forEach((step) => joinedIn.set(step.id, i)));
    const order = [...new Set(ids.flatMap((id) => joinedIn.get(id) ?? []))];
    return order.length === this.#joined.length ? order : null;
  }

  #polisher(limit: number, pause: () => Promise<unknown>): Polisher {
    const random = seededRandom(this.#seed + limit + 1000);
    return new Polisher(this.#problem, this.#joined, this.#pricing, limit, random, pause);
  }

  /** Keeps the cheaper of two orders. */
  #keep(found: Polished): void {
    if (this.#looked.has(found)) return;
    this.#looked.add(found);
    const laid = this.#laidApart(found);
    if (priceOf(laid) < priceOf(this.best)) this.best = laid;
  }

  /** An order of joined steps with each of those that they stand for, run by run, priced as it is done. */
  #laidApart({ steps: joined, beyond }: Pick<Polished, 'steps' | 'beyond'>): Found {
    const { pencil } = this.#problem;
    const laid: Step[] = [];
    for (let begin = 0, end = 0; begin < joined.length; begin = end) {
      while (end < joined.length && pencil[joined[end]!] === pencil[joined[begin]!]) end++;
      const run = joined.slice(begin, end).flatMap((i) => this.#standsFor.get(this.#joined[i]!.id)!);
      laid.push(...byPlace(run, laid.at(-1)));
    }
    const steps = laid.map(({ id }) => this.#numberOf.get(id)!);
    return { steps, joined, overhead: this.#wholePricing.of(steps), beyond };
  }
}

/**
 * A search that finds nothing better for as many rounds as there are things, times this, leaves the rest of the time to
 * polishing as well: the larger the page, the longer fewer pick-ups may still be found.
 */
const PATIENCE = 0.3;

/**
 * Polishes the orders that one search comes to: each is laid place by place at once, and the best goes on being polished,
 * a round after each of the search's own, once that finds little.
 */
class Polisher {
  readonly #polish: (order: readonly number[]) => Polish;
  readonly #pause: () => Promise<unknown>;
  readonly #patience: number;
  /** The order that is polished, and for how many rounds nothing better than it was brought. */
  #under: { from: Opened; polish: Polish; waited: number } | null = null;
  #best: Polished | null = null;

  constructor(
    problem: Problem,
    steps: readonly Step[],
    pricing: Pricing,
    limit: number,
    random: () => number,
    pause: () => Promise<unknown>,
  ) {
    this.#polish = (order) => new Polish(problem, steps, pricing, order, limit, random);
    this.#pause = pause;
    this.#patience = PATIENCE * problem.chains.length;
  }

  /** @returns the cheapest order so far of all that were brought */
  async polish(found: Opened): Promise<Polished> {
    if (!this.#under || costOf(found) < costOf(this.#under.from)) {
      this.#under = { from: found, polish: this.#polish(found.steps), waited: 0 };
    } else if (++this.#under.waited < this.#patience) return this.#best!;
    else await this.#under.polish.improve(this.#pause);
    const polished = { ...this.#under.polish.best, beyond: this.#under.from.beyond };
    if (!this.#best || priceOf(polished) < priceOf(this.#best)) this.#best = polished;
    return this.#best;
  }
}

/** The steps of runs that each do all that their pencil can. */
function laidOut(problem: Problem, { runs }: AcrossThePage): number[] {
  const done = new Uint16Array(problem.chains.length);
  const among = [...problem.chains.keys()];
  const steps: number[] = [];
  for (const pencil of runs) doAll(problem, done, pencil, among, (step) => steps.push(step));
  return steps;
}
