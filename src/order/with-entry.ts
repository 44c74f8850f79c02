import type { BenchState, LogEntry } from '../contracts/index.ts';

/** How the steps of one plan stand. */
export type OnTheTable = Pick<BenchState, 'done' | 'skipped' | 'begun'>;

/** How steps stand after one more entry of the log: the last word on each step counts. */
export function withEntry<T extends OnTheTable>(state: T, entry: LogEntry): T {
  const { stepId, kind } = entry;
  const done = state.done.filter((other) => other.stepId !== stepId);
  const skipped = state.skipped.filter((other) => other !== stepId);
  const begun = { ...state.begun };
  if (kind === 'part done') begun[stepId] = (begun[stepId] ?? 0) + minutesWorked(entry);
  else if (kind === 'not done after all') delete begun[stepId];
  return {
    ...state,
    done: kind === 'done' ? [...done, entry] : done,
    skipped: kind === 'skipped' ? [...skipped, stepId] : skipped,
    begun,
  };
}

/** Minutes that somebody worked from the beginning of an entry to its end. */
export function minutesWorked({
  startedAt,
  finishedAt,
  pausedSeconds,
}: Pick<LogEntry, 'startedAt' | 'finishedAt' | 'pausedSeconds'>): number {
  return Math.max(0, (Date.parse(finishedAt) - Date.parse(startedAt)) / 60_000 - pausedSeconds / 60);
}
