import { nanoid } from 'nanoid';
import type { LogEntry } from '../../../contracts/index.ts';
import { type Step } from '../../../core/bench/index.ts';

/** What one press says of some shapes of a step. Times are ms of the wall clock. */
export interface LogPress {
  planId: string;
  kind: LogEntry['kind'];
  /** When work on them began and ended, and for how much of that somebody worked. */
  began: number;
  ended: number;
  workedMs: number;
  usedPencil?: string | null;
}

/**
 * The entries of the log that a press comes to: one for each shape, one after the other, each with its share of the time by
 * what it was planned to take.
 * @param steps shapes that the press is for, one at least
 */
export function entriesOf(
  steps: readonly Pick<Step, 'id' | 'minutes'>[],
  { planId, kind, began, ended, workedMs, usedPencil = null }: LogPress,
): LogEntry[] {
  const whole = steps.reduce((sum, { minutes }) => sum + minutes, 0);
  const pausedMs = Math.max(0, ended - began - workedMs);
  let [laid, from, paused] = [0, began, 0];
  return steps.map(({ id, minutes }, k) => {
    laid += minutes;
    const share = whole > 0 ? laid / whole : (k + 1) / steps.length;
    const to = k === steps.length - 1 ? ended : Math.round(began + share * (ended - began));
    // Whole seconds that add up: what is rounded off one is with the next.
    const pausedSeconds = Math.min(
      Math.floor((to - from) / 1000),
      Math.max(0, Math.round((share * pausedMs) / 1000) - paused),
    );
    paused += pausedSeconds;
    const entry: LogEntry = {
      id: nanoid(),
      planId,
      stepId: id,
      kind,
      startedAt: new Date(from).toISOString(),
      finishedAt: new Date(to).toISOString(),
      pausedSeconds,
      usedPencil,
      cameOut: null,
    };
    from = to;
    return entry;
  });
}
