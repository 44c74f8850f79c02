import { seededRandom } from '../random/index.ts';
import { type Run, breather, quietRun } from '../run/index.ts';
import { type AcrossThePage, acrossThePage } from './across-the-page.ts';
import { type Sitting, cutSittings } from './cut-sittings.ts';
import { type Opened, byLikeness, costOf, workThrough } from './few-open.ts';
import { Opening } from './opening.ts';
import { lowerBound } from './lower-bound.ts';
import { type Problem, doAll, problemOf } from './problem.ts';
import { type Step } from './step.ts';

export interface SequenceOptions {
  /** How many things may be begun and unfinished at once. Default 4. */
  openThings?: number;
  /** Wished length of a sitting, minutes. Default 40. */
  sittingMinutes?: number;
  /** Default 1. */
  seed?: number;
  /** Rounds of the search for each number of open things that is looked at; the best order is kept. Default 200. */
  maxIterations?: number;
  /** Time after which the best so far is taken, ms by the run's clock; for live use, since what comes out depends on it. Default none. */
  deadlineMs?: number;
}

export interface Sequence {
  /** Ids of the steps in the order in which they are done. */
  order: readonly string[];
  sittings: readonly Sitting[];
  /** How many times a pencil is picked up. */
  pickUps: number;
  /** Minutes in all, with those for picking up. */
  minutes: number;
  /** No order can have fewer pick-ups than this. */
  lowerBound: number;
  /** How often more things than wished had to be open, because all that were open waited for another one. */
  beyondLimit: number;
}

/** Numbers of open things that are looked at, up to the one that is wished: an order for fewer is one for more. */
const LIMITS = [1, 2, 3, 4, 6, 8, 12, 20, 50];
/**
 * Puts steps into an order with few pick-ups. What a smaller number of open things allows is always allowed, so all
 * smaller numbers are looked at first, and more never come out worse. Where no thing need wait to be opened, runs over
 * the whole page are searched too. The same seed and number of rounds give the same order.
 * @throws RangeError when fewer than one thing may be open or a step waits for one that is not there or for itself
 * @throws CancelledError when the run is cancelled
 */
export async function sequence(
  steps: readonly Step[],
  options: SequenceOptions = {},
  run: Run = quietRun,
): Promise<Sequence> {
  const { openThings = 4, sittingMinutes = 40, seed = 1, maxIterations = 200, deadlineMs = Infinity } = options;
  if (!(openThings >= 1)) throw new RangeError('At least one thing has to be open to be worked on.');
  const breathe = breather(run);
  const ends = run.now() + deadlineMs;
  await breathe(0, 'ordering steps');
  const problem = problemOf(steps);
  const bound = lowerBound(problem);
  const things = problem.chains.length;
  const unlimited = openThings >= things;
  // The wished number first, since that mostly comes out best; all smaller ones after it.
  const limits = [
    ...(unlimited ? [things] : []),
    ...LIMITS.filter((limit) => limit <= openThings && limit < things).reverse(),
  ];
  const rounds = maxIterations * (limits.length + Number(unlimited));
  const alike = byLikeness(problem);
  let best = workThrough(problem, alike, 1, null);
  let round = 0;
  /** Keeps the better of two orders; tells whether the search goes on. */
  const goesOn = async (found: Opened) => {
    if (costOf(found) < costOf(best)) best = found;
    await breathe(Math.min(1, ++round / rounds), `ordering steps: ${best.pickUps} pick-ups so far`);
    return run.now() < ends && (best.pickUps > bound || best.beyond > 0);
  };
  const search = unlimited ? acrossThePage(problem, seededRandom(seed)) : null;
  for (let i = 0; search && i < maxIterations; i++) {
    if (!(await goesOn(laidOut(problem, search)))) break;
    search.improve();
  }
  for (const limit of limits) {
    // Each begins anew, so that more rounds only go on where fewer stopped.
    const opening = new Opening(problem, alike, limit, seededRandom(seed + limit));
    let more = await goesOn(opening.best);
    for (let i = 0; more && i < maxIterations; i++) {
      opening.improve(i);
      more = await goesOn(opening.best);
    }
    if (run.now() >= ends) break;
  }
  const order = best.steps.map((step) => steps[step]);
  const sittings = cutSittings(order, sittingMinutes);
  return {
    order: order.map(({ id }) => id),
    sittings,
    pickUps: best.pickUps,
    minutes: sittings.reduce((sum, sitting) => sum + sitting.minutes, 0),
    lowerBound: bound,
    beyondLimit: best.beyond,
  };
}

/** The steps of an order of runs. */
function laidOut(problem: Problem, { runs }: AcrossThePage): Opened {
  const done = new Uint16Array(problem.chains.length);
  const among = [...problem.chains.keys()];
  const steps: number[] = [];
  for (const pencil of runs) doAll(problem, done, pencil, among, (step) => steps.push(step));
  return { steps, pickUps: runs.length, beyond: 0 };
}
