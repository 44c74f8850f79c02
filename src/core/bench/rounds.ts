import { isRepair } from './repairs.ts';
import { inHand } from './step.ts';
import type { Step } from './schemas.ts';

/**
 * What is done in one go: one pencil or tool, one pressure, one stroke and one point, on as many shapes of as many things as
 * come up one after the other. A person takes it for one step.
 */
export interface Round {
  /** That of its first step. */
  id: string;
  /** In the order in which they are laid; none goes over another. */
  steps: readonly Step[];
  /** Minutes of laying. */
  minutes: number;
}

/** A round that would take longer than the most is parted into some that take about as long as wished, minutes. */
const ROUND_MINUTES = { wished: 10, most: 12 };

/** What has to be the same on all shapes of a round, in words to be compared. */
export function wayOfLaying({ pressure, stroke, point, pull, layerId }: Step): string {
  return [pressure, stroke, point, pull, isRepair({ layerId }) ? layerId : ''].join();
}

/** Whether a step can be laid in one go with others: with the same in hand and the same way, and none goes over another. */
export function goesOn(steps: readonly Step[], next: Step): boolean {
  const [first] = steps;
  return (
    first !== undefined &&
    inHand(first) === inHand(next) &&
    wayOfLaying(first) === wayOfLaying(next) &&
    !steps.some(({ id }) => next.after.includes(id))
  );
}

/**
 * Steps in rounds: as many one after the other as can be laid in one go, parted along their way where that takes too long. A
 * step that takes long by itself stays whole.
 * @param steps in the order in which they are done, of one sitting: a round does not go on over a break
 */
export function roundsOf(steps: readonly Step[]): Round[] {
  const rounds: Round[] = [];
  for (let begin = 0, end = 0; begin < steps.length; begin = end) {
    end = begin + 1;
    while (end < steps.length && goesOn(steps.slice(begin, end), steps[end]!)) end++;
    rounds.push(...parted(steps.slice(begin, end)));
  }
  return rounds;
}

function parted(steps: readonly Step[]): Round[] {
  const whole = minutesOf(steps);
  const parts = whole > ROUND_MINUTES.most ? Math.round(whole / ROUND_MINUTES.wished) : 1;
  const rounds: Step[][] = [];
  let laid = 0;
  let last = -1;
  for (const step of steps) {
    // Where its middle lies tells which part it is in.
    const part = Math.min(parts - 1, Math.floor((parts * (laid + step.minutes / 2)) / whole));
    if (part > last || rounds.length === 0) rounds.push([]);
    last = part;
    rounds.at(-1)!.push(step);
    laid += step.minutes;
  }
  return rounds.map((own) => ({ id: own[0]!.id, steps: own, minutes: minutesOf(own) }));
}

function minutesOf(steps: readonly Step[]): number {
  return steps.reduce((sum, { minutes }) => sum + minutes, 0);
}
