import { useCallback, useEffect, useRef, useState } from 'react';
import { type Outcome, type Report } from './jobs.ts';
import { type Job, startJob } from './start-job.ts';

/** How a piece of work in a worker stands. */
export type JobState<T> =
  | { state: 'idle' }
  | { state: 'working'; share: number; doing: string }
  | { state: 'refused'; sentence: string }
  | { state: 'done'; value: T };

/** One job at a time on a worker, with its progress; it is cancelled when what shows it goes away. */
export function useJob<T>(worker: { cancel(jobId: string): unknown }, doing: string) {
  const [now, setNow] = useState<JobState<T>>({ state: 'idle' });
  const job = useRef<Job<T> | null>(null);
  useEffect(() => () => job.current?.cancel(), []);
  const start = useCallback(
    async (work: (jobId: string, report: Report) => Promise<Outcome<T>>): Promise<T | null> => {
      job.current?.cancel();
      setNow({ state: 'working', share: 0, doing });
      const started = startJob(worker, work, (share, what) =>
        setNow((was) => (was.state === 'working' ? { state: 'working', share, doing: what } : was)),
      );
      job.current = started;
      const outcome = await started.outcome;
      if (job.current !== started) return null;
      if (outcome.kind === 'done') setNow({ state: 'done', value: outcome.value });
      else setNow(outcome.kind === 'refused' ? { state: 'refused', sentence: outcome.sentence } : { state: 'idle' });
      return outcome.kind === 'done' ? outcome.value : null;
    },
    [doing, worker],
  );
  return { now, start, cancel: () => job.current?.cancel() };
}
