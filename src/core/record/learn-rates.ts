import { median } from 'd3-array';
import { ASSUMED_RATES, type Laying, type Rates, minutesFor } from '../bench/index.ts';
import { POINTS, type Point } from '../recipe/index.ts';

/** A finished step, as rates are learnt from it. */
export interface TimedStep extends Laying {
  /** Area that was covered, mm2. */
  coveredMm2: number;
  /** From when it came up until it was done, with the pick-up. */
  actualMinutes: number;
  /** Whether another pencil or tool was held before. */
  picksUp: boolean;
}

/** The newest so many finished steps tell how fast a hand is; older ones tell how fast it was. An assumption. */
export const MOST_STEPS = 500;
/** So many finished steps are enough to learn anything from. */
export const ENOUGH_STEPS = 8;
/** What is assumed counts as much as so many steps of each point. */
const ASSUMED_COUNTS = 5;
/** A step that took so many times longer or shorter than assumed tells of a break or a slip, not of the pace. */
const FAR_OFF = 5;
/** No pick-up takes longer, s. */
const LONGEST_PICK_UP = 90;

/**
 * How fast a person works: the median of what finished steps took over what was assumed for them, for each point by its
 * own steps, held towards the pace of all the less there are of them; and how long a pick-up takes, by what steps with
 * one took longer than that.
 * @returns the assumed rates while there are fewer than {@link ENOUGH_STEPS} steps to learn from
 */
export function learnRates(steps: readonly TimedStep[]): Rates {
  const pickUpSeconds = learntPickUp(steps);
  return { ...paceOf(steps, pickUpSeconds), pickUpSeconds };
}

/** What a pick-up takes, s; assumed unless there are enough steps with and without one to tell it from the pace. */
function learntPickUp(steps: readonly TimedStep[]): number {
  const { pickUpSeconds: assumed } = ASSUMED_RATES;
  const onward = steps.filter(({ picksUp }) => !picksUp);
  const pace = paceOf(onward, assumed);
  const took = steps
    .filter((step) => step.picksUp && isPlausible(step, assumed))
    .map((step) => 60 * (step.actualMinutes - minutesFor(step.coveredMm2, step, pace)));
  if (pace.learntFrom === 0 || took.length < ENOUGH_STEPS) return assumed;
  const learnt = Math.min(LONGEST_PICK_UP, Math.max(0, median(took)!));
  return (took.length * learnt + ASSUMED_COUNTS * assumed) / (took.length + ASSUMED_COUNTS);
}

function paceOf(steps: readonly TimedStep[], pickUpSeconds: number): Rates {
  const told = steps
    .filter((step) => isPlausible(step, pickUpSeconds))
    .map((step) => ({ point: step.point, log: Math.log(ratioOf(step, pickUpSeconds)) }));
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
    pickUpSeconds,
    secondsPerRegion: ASSUMED_RATES.secondsPerRegion * Math.exp(all),
    learntFrom: told.length,
  };
}

/** What a step took without its pick-up over what was assumed for it. */
function ratioOf(step: TimedStep, pickUpSeconds: number): number {
  const laying = step.actualMinutes - (step.picksUp ? pickUpSeconds / 60 : 0);
  return laying / minutesFor(step.coveredMm2, step);
}

function isPlausible(step: TimedStep, pickUpSeconds: number): boolean {
  const ratio = ratioOf(step, pickUpSeconds);
  return ratio > 1 / FAR_OFF && ratio < FAR_OFF;
}

/** The median of some logarithms, drawn towards what is assumed. */
function held(told: readonly { log: number }[], assumed: number): number {
  if (told.length === 0) return assumed;
  const middle = median(told, ({ log }) => log)!;
  return (told.length * middle + ASSUMED_COUNTS * assumed) / (told.length + ASSUMED_COUNTS);
}
