import { seededRandom } from '../random/index.ts';
import { type Run, checkpoints, quietRun } from '../run/index.ts';
import { type AcrossThePage, acrossThePage } from './across-the-page.ts';
import { type Costs, type Handedness, USUAL_COSTS } from './costs.ts';
import { cutSittings } from './cut-sittings.ts';
import type { Sitting, Step } from './schemas.ts';
import { type Opened, TOO_MANY, byLikeness, costOf, decodeOpeningOrder } from './few-open.ts';
import { OpeningAnnealer } from './opening-annealer.ts';
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
  const problem = problemOf(steps);
  const pricing = new Pricing(steps, costs, hand);
  const things = problem.chains.length;
  const unlimited = openThings >= things;
  // The wished number first, since that mostly comes out best; all smaller ones after it.
  const limits = [
    ...(unlimited ? [things] : []),
    ...LIMITS.filter((limit) => limit <= openThings && limit < things).reverse(),
  ];
  const rounds = maxIterations * (limits.length + Number(unlimited));
  const alike = byLikeness(problem);
  const first = decodeOpeningOrder(problem, alike, 1, null);
  let best: Found = { steps: first.steps, overhead: pricing.of(first.steps), beyond: first.beyond };
  let round = 0;
  const tell = () =>
    checkpoint(Math.min(1, round / rounds), `ordering steps: ${best.overhead.pickUps} pick-ups so far`);
  let told = run.now();
  /** Within a round others come to their turn now and then. */
  const pause = async () => {
    if (run.now() - told < PAUSE_MS) return;
    await tell();
    told = run.now();
  };
  // There is an order by now, though not a good one.
  await tell();
  const bound = await lowerBound(problem, pause);
  /** Keeps the cheaper of two orders; tells whether the search goes on. */
  const goesOn = async (found: Found) => {
    if (priceOf(found) < priceOf(best)) best = found;
    round++;
    await tell();
    return run.now() < ends && (best.overhead.cost > bound * costs.pickUpSeconds || best.beyond > 0);
  };
  const polisher = (limit: number) =>
    new Polisher(problem, steps, pricing, limit, seededRandom(seed + limit + 1000), pause);
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
    const opening = new OpeningAnnealer(problem, alike, limit, seededRandom(seed + limit));
    const own = polisher(limit);
    let more = await goesOn(await own.polish(opening.best));
    for (let i = 0; more && i < maxIterations; i++) {
      await opening.improve(i, pause);
      more = await goesOn(await own.polish(opening.best));
    }
    if (run.now() >= ends) break;
  }
  const order = best.steps.map((step) => steps[step]!);
  const sittings = cutSittings(order, sittingMinutes, costs);
  return {
    ...best.overhead,
    order: order.map(({ id }) => id),
    sittings,
    minutes: sittings.reduce((sum, sitting) => sum + sitting.minutes, 0),
    lowerBound: bound,
    beyondLimit: best.beyond,
    mostOpen: mostOpenIn(problem, best.steps),
  };
}

/** An order with what it costs. */
interface Found {
  steps: readonly number[];
  overhead: Overhead;
  /** How often more things than wished are opened. */
  beyond: number;
}

function priceOf({ overhead, beyond }: Found): number {
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
  readonly #pause: () => Promise<void>;
  readonly #patience: number;
  /** The order that is polished, and for how many rounds nothing better than it was brought. */
  #under: { from: Opened; polish: Polish; waited: number } | null = null;
  #best: Found | null = null;

  constructor(
    problem: Problem,
    steps: readonly Step[],
    pricing: Pricing,
    limit: number,
    random: () => number,
    pause: () => Promise<void>,
  ) {
    this.#polish = (order) => new Polish(problem, steps, pricing, order, limit, random);
    this.#pause = pause;
    this.#patience = PATIENCE * problem.chains.length;
  }

  /** @returns the cheapest order so far of all that were brought */
  async polish(found: Opened): Promise<Found> {
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
