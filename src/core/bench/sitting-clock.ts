import { type Costs } from './costs.ts';
import { type Reminder } from './lay-out.ts';
import { inHand } from './step.ts';
import type { Step } from './schemas.ts';

/** Pencils are laid out before a sitting and put away after it, and the hand rests in every so many minutes of work. Assumptions. */
const LAYING_OUT_MINUTES = 2;
const REST = { minutes: 2, every: 25 };
/** What it takes to wipe a point on scrap, and a tool clean, seconds. Assumptions. */
const WIPING_SECONDS = 5;
const CLEANING_SECONDS = 10;

/**
 * The minutes of one sitting as its steps are done: laying out, taking up, sharpening and wiping, the way over the page, laying,
 * rests, and waiting for what dries.
 */
export class SittingClock {
  minutes = LAYING_OUT_MINUTES;
  /** Of these the minutes in which nothing can be done because something dries. */
  waited = 0;
  readonly #costs: Costs;
  readonly #dryAt = new Map<string, number>();
  #last: Step | null = null;
  /** Minutes that were worked since the hand rested. */
  #worked = 0;

  constructor(costs: Costs) {
    this.#costs = costs;
  }

  /** @param reminders what is done about the point for it */
  lay(step: Step, reminders: readonly Reminder[]): void {
    const { pickUpSeconds, sharpenSeconds, travelSeconds } = this.#costs;
    const isTakenUp = !this.#last || inHand(this.#last) !== inHand(step);
    let seconds = (isTakenUp ? pickUpSeconds : 0) + (mmBetween(this.#last, step) / 100) * travelSeconds;
    if (reminders.includes('sharpen')) seconds += sharpenSeconds;
    if (reminders.includes('wipe')) seconds += WIPING_SECONDS;
    if (reminders.includes('clean tool')) seconds += CLEANING_SECONDS;
    this.minutes += seconds / 60;
    // What was wetted in an earlier sitting has dried over the break.
    for (const before of step.after) {
      const wait = (this.#dryAt.get(before) ?? 0) - this.minutes;
      if (wait <= 0) continue;
      this.minutes += wait;
      this.waited += wait;
      if (wait >= REST.minutes) this.#worked = 0;
    }
    this.#worked += step.minutes;
    const rests = Math.floor(this.#worked / REST.every);
    this.#worked -= rests * REST.every;
    this.minutes += step.minutes + rests * REST.minutes;
    if (step.dryMinutes) this.#dryAt.set(step.id, this.minutes + step.dryMinutes);
    this.#last = step;
  }
}

/** The way of the hand from one step to the next, mm; 0 where nobody knows. */
function mmBetween(from: Step | null, to: Step): number {
  if (!from?.box || !to.box) return 0;
  const middle = ({ left, top, right, bottom }: NonNullable<Step['box']>) => [(left + right) / 2, (top + bottom) / 2];
  const [x, y] = middle(from.box) as [number, number];
  const [toX, toY] = middle(to.box) as [number, number];
  return Math.hypot(toX - x, toY - y);
}
