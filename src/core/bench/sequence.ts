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
  const { openThings = 4, sittingMinutes = 40, seed = 1, maxIterations = 200, deadlineMs = Infinity } = options;
  const { costs = USUAL_COSTS, hand = 'right' } = options;
  if (!(openThings >= 1)) throw new RangeError('At least one thing has to be open to be worked on.');
  const checkpoint = checkpoints(run);
  const ends = run.now() + deadlineMs;
  await checkpoint(0, 'ordering steps');
  const whole = problemOf(steps);
  const wholePricing = new Pricing(steps, costs, hand);
  const together = likeThings(steps, openThings === 1);
  const { steps: joined, standsFor } = joinedSteps(together);
  const problem = problemOf(joined);
  const pricing = new Pricing(joined, costs, hand);
  const numberOf = new Map(steps.map(({ id }, i) => [id, i]));
  /** An order of joined steps with each of those that they stand for, priced as it is done. */
  const apart = (order: readonly number[], beyond: number): Found => {
    const laid: Step[] = [];
    for (const i of order) laid.push(...byPlace(standsFor.get(joined[i]!.id)!, laid.at(-1)));
    const numbers = laid.map(({ id }) => numberOf.get(id)!);
    return { steps: numbers, joined: order, overhead: wholePricing.of(numbers), beyond };
  };
  const things = problem.chains.length;
  const unlimited = openThings >= things;
  // The wished number first, since that mostly comes out best; all smaller ones after it.
  const limits = [
    ...(unlimited ? [things] : []),
    ...LIMITS.filter((limit) => limit <= openThings && limit < things && (limit > 1 || openThings === 1)).reverse(),
  ];
  const rounds = maxIterations * (limits.length + Number(unlimited));
  const byKind = byLikeness(problem);
  const first = decodeOpeningOrder(problem, byKind, 1, null);
  let best = apart(first.steps, first.beyond);
  let round = 0;
  const tell = () =>
    checkpoint(Math.min(1, round / rounds), `ordering steps: ${best.overhead.pickUps} pick-ups so far`);
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
  /** Keeps the cheaper of two orders; tells whether the search goes on. */
  const looked = new Set<Polished>();
  const goesOn = async (found: Polished) => {
    if (!looked.has(found)) {
      looked.add(found);
      const laid = apart(found.steps, found.beyond);
      if (priceOf(laid) < priceOf(best)) best = laid;
    }
    round++;
    await tell();
    return run.now() < ends && (best.overhead.cost > bound * costs.pickUpSeconds || best.beyond > 0);
  };
  const polisher = (limit: number) =>
    new Polisher(problem, joined, pricing, limit, seededRandom(seed + limit + 1000), pause);
  const search = unlimited ? await acrossThePage(problem, seededRandom(seed), pause) : null;
  const acrossPolisher = polisher(things);
  let laid = search && laidOut(problem, search);
  for (let i = 0; search && laid && i < maxIterations; i++) {
    if (!(await goesOn(await acrossPolisher.polish(laid)))) break;
    await search.improve();
    if (search.runs.length < laid.pickUps) laid = laidOut(problem, search);
  }
  for (const limit of limits) {
    // Each begins anew, so that more rounds only go on where fewer stopped.
    const opening = new OpeningSearch(problem, byKind, limit, seededRandom(seed + limit));
    const own = polisher(limit);
    let more = await goesOn(await own.polish(opening.best));
    for (let i = 0; more && i < maxIterations; i++) {
      await opening.improve(i, pause);
      more = await goesOn(await own.polish(opening.best));
    }
    if (run.now() >= ends) break;
  }
  // With one thing at a time fewer are alike: what that comes to is allowed as well.
  if (openThings > 1 && run.now() < ends) {
    const left = { ...options, openThings: 1, deadlineMs: ends - run.now() };
    const alone = await sequence(steps, left, { ...run, progress: () => undefined });
    if (alone.cost + TOO_MANY * alone.beyondLimit < priceOf(best)) return alone;
  }
  const order = best.steps.map((step) => steps[step]!);
  const alike = together.sets.flatMap(({ places }) => (places.size > 1 ? [[...places.keys()]] : []));
  const setOf = new Map(alike.flatMap((things) => things.map((thing) => [thing, things[0]!] as const)));
  const sittings = cutSittings(order, sittingMinutes, costs, (thing) => setOf.get(thing) ?? thing);
  return {
    ...best.overhead,
    order: order.map(({ id }) => id),
    sittings,
    minutes: sittings.reduce((sum, sitting) => sum + sitting.minutes, 0),
    lowerBound: bound,
    beyondLimit: best.beyond,
    mostOpen: mostOpenIn(problem, best.joined),
    alike,
  };
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
