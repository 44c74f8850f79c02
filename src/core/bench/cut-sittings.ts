import { type Costs, USUAL_COSTS } from './costs.ts';
import { remindersOf } from './lay-out.ts';
import { SittingClock } from './sitting-clock.ts';
import { inHand } from './step.ts';
import type { Sitting, Step } from './schemas.ts';

/** What it costs to leave a thing half done over a break, as minutes that a sitting is longer or shorter than wished. */
const HALF_DONE_MINUTES = 0.7;
/** What it costs to put a pencil away that goes on after the break, counted the same way. */
const WITHIN_RUN_MINUTES = 2.5;
/** What it is worth to stop after something was wetted, counted the same way: the break dries it. */
const DRIES_MINUTES = 2;

/** A sitting keeps to the wish within such a share of it: it is worth so much, counted the same way, wherever steps allow it. */
const WITHIN = 0.2;
const BEYOND_MINUTES = 50;

/**
 * Cuts an order into sittings, so that each is within a fifth of the wished length where steps allow it, with laying out, rests
 * and the waiting for what dries in it: gladly at a change of pencil, with few things left half done, and where something has to dry: the best of all cuts, by dynamic
 * programming over them.
 * @param wished minutes, above 0
 * @param openAs what a thing is open as: like things as one; default each by itself
 */
export function cutSittings(
  order: readonly Step[],
  wished: number,
  costs: Costs = USUAL_COSTS,
  openAs: (thingId: string) => string = (thingId) => thingId,
): Sitting[] {
  const reminders = remindersOf(order);
  const cut = costOfCuts(order, openAs);
  const best = new Float64Array(order.length + 1).fill(Infinity);
  const from = new Int32Array(order.length + 1);
  const minutes = new Float64Array(order.length + 1);
  best[0] = 0;
  for (let begin = 0; begin < order.length; begin++) {
    const clock = new SittingClock(costs);
    for (let end = begin + 1; end <= order.length; end++) {
      clock.lay(order[end - 1]!, reminders.get(order[end - 1]!.id)!);
      const off = clock.minutes - wished;
      // The last sitting may be short at no cost.
      const isLast = end === order.length && off < 0;
      const beyond = Math.abs(off) > WITHIN * wished ? BEYOND_MINUTES : 0;
      const length = isLast ? 0 : (off * off) / wished + beyond;
      const all = best[begin]! + length + cut[end]!;
      if (all < best[end]!) [best[end], from[end], minutes[end]] = [all, begin, clock.minutes];
      if (clock.minutes > 2 * wished) break;
    }
  }
  const sittings: Sitting[] = [];
  for (let end = order.length; end > 0; end = from[end]!) {
    sittings.unshift({ steps: order.slice(from[end], end).map(({ id }) => id), minutes: minutes[end]! });
  }
  return sittings;
}

/** What a break costs before each step, and at the end nothing. */
function costOfCuts(order: readonly Step[], openAs: (thingId: string) => string): Float64Array {
  const left = new Map<string, number>();
  for (const { thingId } of order) left.set(openAs(thingId), (left.get(openAs(thingId)) ?? 0) + 1);
  const begun = new Set<string>();
  const costs = new Float64Array(order.length + 1);
  order.forEach((step, i) => {
    const thing = openAs(step.thingId);
    left.set(thing, left.get(thing)! - 1);
    if (left.get(thing)! > 0) begun.add(thing);
    else begun.delete(thing);
    const next = order[i + 1];
    if (!next) return;
    const goesOn = inHand(step) === inHand(next) ? WITHIN_RUN_MINUTES : 0;
    costs[i + 1] = HALF_DONE_MINUTES * begun.size + goesOn - (step.dryMinutes ? DRIES_MINUTES : 0);
  });
  return costs;
}
