import { type Costs, USUAL_COSTS } from './costs.ts';
import { Points } from './points.ts';
import { inHand } from './step.ts';
import type { Sitting, Step } from './schemas.ts';

/** What it costs to leave a thing half done over a break, as minutes that a sitting is longer or shorter than wished. */
const HALF_DONE_MINUTES = 0.7;
/** What it is worth to stop after something was wetted, counted the same way: the break dries it. */
const DRIES_MINUTES = 2;

/**
 * Cuts an order into sittings at changes of pencil, so that each is near the wished length and few things are left half
 * done, gladly where something has to dry: the best of all cuts, by dynamic programming over them.
 * @param wished minutes, above 0
 */
export function cutSittings(order: readonly Step[], wished: number, costs: Costs = USUAL_COSTS): Sitting[] {
  const runs: Step[][] = [];
  for (const step of order) {
    const run = runs.at(-1);
    if (run && inHand(run[0]!) === inHand(step)) run.push(step);
    else runs.push([step]);
  }
  const points = new Points();
  const minutesOf = (step: Step) => step.minutes + (points.lay(step) ? costs.sharpenSeconds / 60 : 0);
  const minutes = runs.map((run) => run.reduce((sum, step) => sum + minutesOf(step), costs.pickUpSeconds / 60));
  const halfDone = halfDoneAfter(runs);
  const best = [0];
  const from = [0];
  for (let end = 1; end <= runs.length; end++) {
    best[end] = Infinity;
    let long = 0;
    for (let begin = end - 1; begin >= 0; begin--) {
      long += minutes[begin]!;
      const off = long - wished;
      // The last sitting may be short at no cost.
      const cost = end === runs.length && off < 0 ? 0 : (off * off) / wished;
      const dries = runs[end - 1]!.at(-1)!.dryMinutes ? DRIES_MINUTES : 0;
      const all = best[begin]! + cost + (end === runs.length ? 0 : HALF_DONE_MINUTES * halfDone[end - 1]! - dries);
      if (all < best[end]!) [best[end], from[end]] = [all, begin];
      if (long > 2 * wished && begin < end - 1) break;
    }
  }
  const sittings: Sitting[] = [];
  for (let end = runs.length; end > 0; end = from[end]!) {
    const own = runs.slice(from[end], end).flat();
    const length = minutes.slice(from[end], end).reduce((sum, each) => sum + each, 0);
    sittings.unshift({ steps: own.map(({ id }) => id), minutes: length });
  }
  return sittings;
}

/** How many things are begun and not finished after each run. */
function halfDoneAfter(runs: readonly (readonly Step[])[]): number[] {
  const left = new Map<string, number>();
  for (const { thingId } of runs.flat()) left.set(thingId, (left.get(thingId) ?? 0) + 1);
  const begun = new Set<string>();
  return runs.map((run) => {
    for (const { thingId } of run) {
      left.set(thingId, left.get(thingId)! - 1);
      if (left.get(thingId)! > 0) begun.add(thingId);
      else begun.delete(thingId);
    }
    return begun.size;
  });
}
