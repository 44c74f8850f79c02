import { type Run, checkpoints, quietRun } from '../run/index.ts';
import { type Costs, type Handedness, USUAL_COSTS } from './costs.ts';
import { cutSittings } from './cut-sittings.ts';
import { lowerBound } from './lower-bound.ts';
import { OrderSearch, priceOf } from './order-search.ts';
import { type Overhead } from './overhead.ts';
import { problemOf } from './problem.ts';
import type { Sitting, Step } from './schemas.ts';

export interface SequenceOptions {
  /** How many things may be begun and unfinished at once. Default 4. */
  openThings?: number;
  /** Wished length of a sitting, minutes. Default 40. */
  sittingMinutes?: number;
  /** The hand that draws. Default the right. */
  hand?: Handedness;
  /** Default {@link USUAL_COSTS}. */
  costs?: Costs;
  /** An order to begin from, by the ids of its steps, where it can be worked by and leaves none out; default none. */
  from?: readonly string[];
  /** Default 1. */
  seed?: number;
  /** Rounds of the search for each number of open things that is looked at; the best order is kept. Default 200. */
  maxIterations?: number;
  /** Time after which the best so far is taken, ms by the run's clock; for live use, since what comes out depends on it. Default none. */
  deadlineMs?: number;
}

export interface Sequence extends Overhead {
  /** As many things as may be open; Infinity for any. */
  openThings: number;
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
    openThings,
    order: order.map(({ id }) => id),
    sittings,
    minutes: sittings.reduce((sum, sitting) => sum + sitting.minutes, 0),
    lowerBound: bound,
    beyondLimit: beyond,
    mostOpen: found.mostOpen,
    alike: found.alike,
  };
}
