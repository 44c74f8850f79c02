import { type Costs } from './costs.ts';
import { inHand } from './step.ts';
import type { Step } from './schemas.ts';

/** The minutes of one sitting as its steps are done: laying, taking up, sharpening, the way over the page, and waiting for what dries. */
export class SittingClock {
  minutes = 0;
  /** Of these the minutes in which nothing can be done because something dries. */
  waited = 0;
  readonly #costs: Costs;
  readonly #dryAt = new Map<string, number>();
  #last: Step | null = null;

  constructor(costs: Costs) {
    this.#costs = costs;
  }

  /** @param isSharpened whether a point is sharpened before */
  lay(step: Step, isSharpened: boolean): void {
    const { pickUpSeconds, sharpenSeconds, travelSeconds } = this.#costs;
    const isTakenUp = !this.#last || inHand(this.#last) !== inHand(step);
    const way = (mmBetween(this.#last, step) / 100) * travelSeconds;
    this.minutes += ((isTakenUp ? pickUpSeconds : 0) + (isSharpened ? sharpenSeconds : 0) + way) / 60;
    // What was wetted in an earlier sitting has dried over the break.
    for (const before of step.after) {
      const wait = (this.#dryAt.get(before) ?? 0) - this.minutes;
      if (wait <= 0) continue;
      this.minutes += wait;
      this.waited += wait;
    }
    this.minutes += step.minutes;
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
