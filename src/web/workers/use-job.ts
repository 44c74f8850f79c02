import { useCallback, useEffect, useRef, useState } from 'react';
import { type Report } from './job.ts';
import { type JobUnderWay } from './job-client.ts';

/** How a job that a person started stands. */
export type JobState<T> =
  | { state: 'idle' }
  | { state: 'working'; share: number; doing: string }
  | { state: 'refused'; sentence: string }
  | { state: 'done'; value: T };

/** One job at a time that a person starts, with its progress; it is cancelled when what shows it goes away. */
export function useJob<T>(doing: string) {
  const [now, setNow] = useState<JobState<T>>({ state: 'idle' });
  const job = useRef<JobUnderWay<T> | null>(null);
  useEffect(() => () => job.current?.cancel(), []);
  const start = useCallback(
    async (ask: (report: Report) => JobUnderWay<T>): Promise<T | null> => {
      job.current?.cancel();
      setNow({ state: 'working', share: 0, doing });
      const started = ask((share, what) =>
        setNow((was) => (was.state === 'working' ? { state: 'working', share, doing: what } : was)),
      );
      job.current = started;
      const outcome = await started.outcome;
      if (job.current !== started) return null;
      if (outcome.kind === 'done') setNow({ state: 'done', value: outcome.value });
      else setNow(outcome.kind === 'refused' ? { state: 'refused', sentence: outcome.sentence } : { state: 'idle' });
      return outcome.kind === 'done' ? outcome.value : null;
    },
    [doing],
  );
  return { now, start, cancel: () => job.current?.cancel() };
}
