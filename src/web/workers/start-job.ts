import { proxy } from 'comlink';
import { nanoid } from 'nanoid';
import { type Outcome, type Report } from './jobs.ts';

/** A job under way. */
export interface Job<T> {
  outcome: Promise<Outcome<T>>;
  cancel(): void;
}

/** Starts a job on a worker that takes a job id first and a progress report last. */
export function startJob<T>(
  worker: { cancel(jobId: string): unknown },
  start: (jobId: string, report: Report) => Promise<Outcome<T>>,
  report: Report,
): Job<T> {
  const jobId = nanoid(8);
  return { outcome: start(jobId, proxy(report)), cancel: () => void worker.cancel(jobId) };
}
