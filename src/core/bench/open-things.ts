import { type OpenPrice, priceOfOpen } from './price-of-open.ts';
import { type Run, quietRun } from '../run/index.ts';
import { BY_THE_PAGE } from './by-the-page.ts';
import { type Sequence, type SequenceOptions, sequence } from './sequence.ts';
import type { OpenThings, Step } from './schemas.ts';

/** The number that a search keeps to, Infinity for any; null where the page chooses. */
export function openLimit(open: OpenThings): number | null {
  if (open === BY_THE_PAGE) return null;
  return open === 'any' ? Infinity : open;
}

/** The numbers of open things that a page chooses among. */
const CHOSEN_AMONG = [2, 3, 4, 6, 8, 12, Infinity];
/** A further open thing has to save at least such a share of the pick-ups. */
const WORTH_IT = 0.025;
/** Share of the time that the choice takes. */
const FOR_CHOICE = 0.4;

/** A number of open things that was tried, Infinity for any, and whether the page chose it. */
export interface OpenTried extends Pick<OpenPrice, 'openThings' | 'pickUps'> {
  isChosen: boolean;
}

/** An order, and what was tried where the page chose how many things may be open. */
export interface SequenceAsWished extends Sequence {
  openTried: readonly OpenTried[];
}

/**
 * Puts steps into an order with as many things open as is wished. Where the page chooses, it is the smallest number from
 * which on no larger one saves a fortieth of the pick-ups for each further open thing: what is half done is a burden.
 * @param options the deadline is for all of it
 * @throws what {@link sequence} throws
 */
export async function sequenceAsWished(
  steps: readonly Step[],
  open: OpenThings,
  options: Omit<SequenceOptions, 'openThings' | 'from'> = {},
  run: Run = quietRun,
): Promise<SequenceAsWished> {
  const wished = openLimit(open);
  if (wished !== null) return { ...(await sequence(steps, { ...options, openThings: wished }, run)), openTried: [] };
  const { deadlineMs = Infinity, maxIterations = 200 } = options;
  const part = (from: number, share: number): Run => ({
    cancelled: () => run.cancelled(),
    now: () => run.now(),
    progress: (done, doing) => run.progress(from + share * done, doing),
  });
  const trying = {
    ...options,
    deadlineMs: (FOR_CHOICE * deadlineMs) / CHOSEN_AMONG.length,
    maxIterations: Math.ceil(FOR_CHOICE * maxIterations),
  };
  const prices = await priceOfOpen(steps, CHOSEN_AMONG, trying, part(0, FOR_CHOICE));
  const chosen = chosenOf(prices);
  const { openThings, order } = chosen;
  const left = { ...options, openThings, from: order, deadlineMs: (1 - FOR_CHOICE) * deadlineMs };
  const openTried = prices.map((price) => {
    return { openThings: price.openThings, pickUps: price.pickUps, isChosen: price === chosen };
  });
  return { ...(await sequence(steps, left, part(FOR_CHOICE, 1 - FOR_CHOICE))), openTried };
}

/** @param prices from few open to many */
function chosenOf(prices: readonly OpenPrice[]): OpenPrice {
  return prices.reduce((chosen, price) => {
    const further = price.mostOpen - chosen.mostOpen;
    const saved = chosen.pickUps - price.pickUps;
    return saved > 0 && saved >= WORTH_IT * chosen.pickUps * further ? price : chosen;
  });
}
