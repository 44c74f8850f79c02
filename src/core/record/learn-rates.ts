import { ASSUMED_RATES, type Laying, type Rates, minutesFor } from '../bench/index.ts';
import { POINTS, type Point } from '../recipe/index.ts';

/** A finished step, as rates are learnt from it. */
export interface TimedStep extends Laying {
  /** Area that was covered, mm2. */
  coveredMm2: number;
  actualMinutes: number;
}

/** So many finished steps are enough to learn anything from. */
export const ENOUGH_STEPS = 8;
/** What is assumed counts as much as so many steps of each point. */
const ASSUMED_COUNTS = 5;
/** A step that took so many times longer or shorter than assumed tells of a break or a slip, not of the pace. */
const FAR_OFF = 5;

/**
 * How fast a person works, by the median of what finished steps took over what was assumed for them: for each point by its
 * own steps, held towards the pace of all the less there are of them.
 * @returns the assumed rates while there are fewer than {@link ENOUGH_STEPS} steps to learn from
 */
export function learnRates(steps: readonly TimedStep[]): Rates {
  const told = steps.flatMap((step) => {
    const ratio = step.actualMinutes / minutesFor(step.coveredMm2, 1, step);
    return ratio > 1 / FAR_OFF && ratio < FAR_OFF ? [{ point: step.point, log: Math.log(ratio) }] : [];
  });
  if (told.length < ENOUGH_STEPS) return ASSUMED_RATES;
  const all = held(told, 0);
  const factor = (point: Point) =>
    Math.exp(
      held(
        told.filter((step) => step.point === point),
        all,
      ),
    );
  const minutesPerCm2 = Object.fromEntries(
    POINTS.map((point) => [point, ASSUMED_RATES.minutesPerCm2[point] * factor(point)]),
  ) as Rates['minutesPerCm2'];
  return {
    minutesPerCm2,
    secondsPerRegion: ASSUMED_RATES.secondsPerRegion * Math.exp(all),
    learntFrom: told.length,
  };
}

/** The median of some logarithms, drawn towards what is assumed. */
function held(told: readonly { log: number }[], assumed: number): number {
  if (told.length === 0) return assumed;
  const sorted = told.map(({ log }) => log).sort((p, q) => p - q);
  const middle = sorted.length / 2;
  const median = (sorted[Math.ceil(middle) - 1] + sorted[Math.floor(middle)]) / 2;
  return (told.length * median + ASSUMED_COUNTS * assumed) / (told.length + ASSUMED_COUNTS);
}
