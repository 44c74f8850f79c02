import type { BenchState, FinishedLayer, LogEntry } from '../contracts/index.ts';

/** How the steps of the newest plan stand after one more entry of the log: the last word on each step counts. */
export function withEntry(state: BenchState, entry: LogEntry): BenchState {
  const { stepId, kind } = entry;
  const wasDone = state.done.some((other) => other.stepId === stepId);
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
    finished: wasDone === (kind === 'done') ? state.finished : finishedWith(state, stepId, kind === 'done'),
  };
}

/** What is finished once a step of the plan is done, or is not done after all. */
function finishedWith({ plan, finished }: BenchState, stepId: string, isDone: boolean): BenchState['finished'] {
  const step = plan?.steps.find(({ id }) => id === stepId);
  if (!step) return finished;
  const { thingId, layerId, regionIds } = step;
  if (isDone) return [...finished, { thingId, layerId, regionIds }];
  const isIt = (layer: FinishedLayer) =>
    layer.thingId === thingId && layer.layerId === layerId && layer.regionIds.join() === regionIds.join();
  const at = finished.findLastIndex(isIt);
  return finished.filter((_, i) => i !== at);
}

/** Minutes that somebody worked from the beginning of an entry to its end. */
export function minutesWorked({
  startedAt,
  finishedAt,
  pausedSeconds,
}: Pick<LogEntry, 'startedAt' | 'finishedAt' | 'pausedSeconds'>): number {
  return Math.max(0, (Date.parse(finishedAt) - Date.parse(startedAt)) / 60_000 - pausedSeconds / 60);
}
