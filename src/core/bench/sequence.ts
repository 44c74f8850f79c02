import { seededRandom } from '../random/index.ts';
import { type Run, checkpoints, quietRun } from '../run/index.ts';
import { type AcrossThePage, acrossThePage } from './across-the-page.ts';
import { type Costs, type Handedness, USUAL_COSTS } from './costs.ts';
import { cutSittings } from './cut-sittings.ts';
import type { Sitting, Step } from './schemas.ts';
import { byPlace, joinedSteps, likeThings } from './like-things.ts';
import { type Opened, TOO_MANY, byLikeness, costOf, decodeOpeningOrder } from './few-open.ts';
import { OpeningSearch } from './opening-search.ts';
import { lowerBound } from './lower-bound.ts';
import { type Overhead, Pricing } from './overhead.ts';
import { Polish } from './polish.ts';
import { type Problem, doAll, mostOpenIn, problemOf } from './problem.ts';

export interface SequenceOptions {
  /** How many things may be begun and unfinished at once. Default 4. */
  openThings?: number;
  /** Wished length of a sitting, minutes. Default 40. */
  sittingMinutes?: number;
  /** The hand that draws. Default the right. */
  hand?: Handedness;
  /** Default {@link USUAL_COSTS}. */
  costs?: Costs;
  /** Default 1. */
  seed?: number;
  /** Rounds of the search for each number of open things that is looked at; the best order is kept. Default 200. */
  maxIterations?: number;
  /** Time after which the best so far is taken, ms by the run's clock; for live use, since what comes out depends on it. Default none. */
  deadlineMs?: number;
}

export interface Sequence extends Overhead {
  /** Ids of the steps in the order in which they are done. */
  order: readonly string[];
  sittings: readonly Sitting[];
  /** Minutes in all: laying, picking up, sharpening. */
  minutes: number;
  /** No order can have fewer pick-ups than this. */
  lowerBound: number;
  /** How often more things than wished had to be open, because all that were open waited for another one. */
  beyondLimit: number;
  /** The most things that are ever open; more than wished only where some had to be. */
  mostOpen: number;
  /** Sets of like things, by id: they are laid together, and open as one. */
  alike: readonly (readonly string[])[];
}

/** How long others wait for their turn at most, ms. */
const PAUSE_MS = 4;

/** Numbers of open things that are looked at, up to the one that is wished: an order for fewer is one for more. */
const LIMITS = [1, 2, 3, 4, 6, 8, 12, 20, 50];

/**
 * Puts steps into an order that costs little beside the colouring itself. What a smaller number of open things allows is
 * always allowed, so all smaller numbers are looked at too, and more never come out dearer. Where no thing need wait to
 * be opened, runs over the whole page are searched too. The same seed and number of rounds give the same order.
 * @throws RangeError when fewer than one thing may be open or a step waits for one that is not there or for itself
 * @throws CancelledError when the run is cancelled
 */
export async function sequence(
  steps: readonly Step[],
  options: SequenceOptions = {},
  run: Run = quietRun,
): Promise<Sequence> {
  const {
    openThings = 4,
    sittingMinutes = 40,
    maxIterations = 200,
    deadlineMs = Infinity,
    costs = USUAL_COSTS,
  } = options;
  if (!(openThings >= 1)) throw new RangeError('At least one thing has to be open to be worked on.');
  const checkpoint = checkpoints(run);
  const ends = run.now() + deadlineMs;
  await checkpoint(0, 'ordering steps');
  const whole = problemOf(steps);
  let search = new OrderSearch(steps, openThings, options);
  let found = search;
  const rounds = maxIterations * search.limits.length;
  let round = 0;
  const tell = () =>
    checkpoint(Math.min(1, round / rounds), `ordering steps: ${found.best.overhead.pickUps} pick-ups so far`);
  let told = run.now();
  /** Within a round others come to their turn now and then. Tells whether there is no more time. */
  const pause = async () => {
    if (run.now() - told < PAUSE_MS) return false;
    await tell();
    told = run.now();
    return told >= ends;
  };
  // There is an order by now, though not a good one.
  await tell();
  const bound = await lowerBound(whole, pause);
  const isDone = async () => {
    round++;
    await tell();
    const { overhead, beyond } = search.best;
    return run.now() >= ends || (overhead.cost <= bound * costs.pickUpSeconds && beyond === 0);
  };
  await search.run(maxIterations, pause, isDone);
  // With one thing at a time fewer are alike: what that comes to is allowed as well.
  if (openThings > 1 && run.now() < ends) {
    search = new OrderSearch(steps, 1, options);
    await search.run(maxIterations, pause, isDone);
    if (priceOf(search.best) < priceOf(found.best)) found = search;
  }
  const { overhead, beyond } = found.best;
  const order = found.best.steps.map((step) => steps[step]!);
  const setOf = new Map(found.alike.flatMap((things) => things.map((thing) => [thing, things[0]!] as const)));
  const sittings = cutSittings(order, sittingMinutes, costs, (thing) => setOf.get(thing) ?? thing);
  return {
    ...overhead,
    order: order.map(({ id }) => id),
    sittings,
    minutes: sittings.reduce((sum, sitting) => sum + sitting.minutes, 0),
    lowerBound: bound,
    beyondLimit: beyond,
    mostOpen: found.mostOpen,
    alike: found.alike,
  };
}

/** A search for an order with at most so many things open, like ones as one. */
class OrderSearch {
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
  readonly #byKind: readonly number[];
  readonly #looked = new Set<Polished>();
  readonly #seed: number;
  readonly #isUnlimited: boolean;

  constructor(
    steps: readonly Step[],
    openThings: number,
    { costs = USUAL_COSTS, hand = 'right', seed = 1 }: SequenceOptions,
  ) {
    const together = likeThings(steps, openThings === 1);
    const { steps: joined, standsFor } = joinedSteps(together);
    this.#joined = joined;
    this.#standsFor = standsFor;
    this.#problem = problemOf(joined);
    this.#pricing = new Pricing(joined, costs, hand);
    this.#wholePricing = new Pricing(steps, costs, hand);
    this.#numberOf = new Map(steps.map(({ id }, i) => [id, i]));
    this.#byKind = byLikeness(this.#problem);
    this.#seed = seed;
    this.alike = together.sets.flatMap(({ places }) => (places.size > 1 ? [[...places.keys()]] : []));
    const things = this.#problem.chains.length;
    this.#isUnlimited = openThings >= things;
    this.limits = [
      ...(this.#isUnlimited ? [things] : []),
      ...LIMITS.filter((limit) => limit <= openThings && limit < things && (limit > 1 || openThings === 1)).reverse(),
    ];
    this.best = this.#laidApart(decodeOpeningOrder(this.#problem, this.#byKind, 1, null));
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
    if (this.#isUnlimited && (await this.#acrossThePage(rounds, pause, isDone))) return;
    for (const limit of this.limits) {
      // Each begins anew, so that more rounds only go on where fewer stopped.
      const opening = new OpeningSearch(this.#problem, this.#byKind, limit, seededRandom(this.#seed + limit));
      const polisher = this.#polisher(limit, pause);
      this.#keep(await polisher.polish(opening.best));
      for (let i = 0; i < rounds && !(await isDone()); i++) {
        await opening.improve(i, pause);
        this.#keep(await polisher.polish(opening.best));
      }
      if (await isDone()) return;
    }
  }

  /** Runs over the whole page, where no thing need wait to be opened. @returns whether the search is done */
  async #acrossThePage(
    rounds: number,
    pause: () => Promise<boolean>,
    isDone: () => Promise<boolean>,
  ): Promise<boolean> {
    const search = await acrossThePage(this.#problem, seededRandom(this.#seed), pause);
    if (!search) return false;
    const polisher = this.#polisher(this.#problem.chains.length, pause);
    let laid = laidOut(this.#problem, search);
    for (let i = 0; i < rounds; i++) {
      this.#keep(await polisher.polish(laid));
      if (await isDone()) return true;
      await search.improve();
      if (search.runs.length < laid.pickUps) laid = laidOut(this.#problem, search);
    }
    return false;
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

  /** An order of joined steps with each of those that they stand for, priced as it is done. */
  #laidApart({ steps: joined, beyond }: Pick<Polished, 'steps' | 'beyond'>): Found {
    const laid: Step[] = [];
    for (const i of joined) laid.push(...byPlace(this.#standsFor.get(this.#joined[i]!.id)!, laid.at(-1)));
    const steps = laid.map(({ id }) => this.#numberOf.get(id)!);
    return { steps, joined, overhead: this.#wholePricing.of(steps), beyond };
  }
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

function priceOf({ overhead, beyond }: Polished): number {
  return overhead.cost + TOO_MANY * beyond;
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

/** The steps of an order of runs. */
function laidOut(problem: Problem, { runs }: AcrossThePage): Opened {
  const done = new Uint16Array(problem.chains.length);
  const among = [...problem.chains.keys()];
  const steps: number[] = [];
  for (const pencil of runs) doAll(problem, done, pencil, among, (step) => steps.push(step));
  return { steps, pickUps: runs.length, beyond: 0 };
}
