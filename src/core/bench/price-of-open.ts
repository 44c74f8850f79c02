import { type Run, quietRun } from '../run/index.ts';
import { type Sequence, type SequenceOptions, sequence } from './sequence.ts';
import type { Step } from './schemas.ts';

/** What it costs to have no more than so many things open. */
export interface OpenPrice {
  /** Infinity for any number. */
  openThings: number;
  /** As many as are ever open. */
  mostOpen: number;
  pickUps: number;
  /** Minutes at the table in all, and those of them that are not laying: picking up, sharpening, moving on, waiting. */
  minutes: number;
  overheadMinutes: number;
  /** The order that it comes to, by the ids of its steps. */
  order: readonly string[];
}

/**
 * Orders the same steps for several limits of open things, to be compared. What a smaller limit allows a larger one does
 * too, so none of them comes out dearer than one before it.
 * @param limits from the smallest to the largest
 * @param options for each of the orders; the deadline is for each by itself
 * @throws what {@link sequence} throws
 */
export async function priceOfOpen(
  steps: readonly Step[],
  limits: readonly number[],
  options: Omit<SequenceOptions, 'openThings'> = {},
  run: Run = quietRun,
): Promise<OpenPrice[]> {
  const laying = steps.reduce((sum, { minutes }) => sum + minutes, 0);
  const prices: OpenPrice[] = [];
  let best: Sequence | null = null;
  for (const [k, openThings] of limits.entries()) {
    const things =
      openThings === Infinity ? 'any number of things' : openThings === 1 ? '1 thing' : `${openThings} things`;
    const part: Run = {
      cancelled: () => run.cancelled(),
      now: () => run.now(),
      progress: (share) => run.progress((k + share) / limits.length, `trying it with ${things} open`),
    };
    // An order for fewer is one for more: each begins from the best so far.
    const found = await sequence(steps, { ...options, openThings, from: best?.order }, part);
    if (!best || found.cost < best.cost) best = found;
    const overheadMinutes = best.seconds / 60;
    const { pickUps, order, mostOpen } = best;
    prices.push({ openThings, mostOpen, pickUps, minutes: laying + overheadMinutes, overheadMinutes, order });
  }
  return prices;
}
