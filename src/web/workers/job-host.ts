import { expose, transfer } from 'comlink';
import { LineArtError } from '../../core/lineart/index.ts';
import { CancelledError, type Run } from '../../core/run/index.ts';
import { type Jobs, type Outcome, type Report } from './job.ts';

/** Does the jobs of one worker. */
export interface JobHost {
  /** @param id of this run, to cancel it by */
  run(
    name: string,
    id: string,
    input: unknown,
    report: Report | null,
    soFar: ((output: unknown) => void) | null,
  ): Promise<Outcome<unknown>>;
  cancel(id: string): void;
}

/** Progress is told at most so often, ms. */
const TOLD_EVERY_MS = 60;

export function hostOf(jobs: Jobs): JobHost {
  const cancelled = new Set<string>();
  const underWay = new Set<string>();
  return {
    async run(name, id, input, report, soFar) {
      underWay.add(id);
      try {
        const job = jobs[name];
        if (!job) throw new RangeError(`There is no job called ${name}.`);
        const value = await job.run(input as never, runOf(id, report), (output) => soFar?.(output));
        const done: Outcome<unknown> = { kind: 'done', value };
        return job.handsOver ? transfer(done, job.handsOver(value)) : done;
      } catch (error) {
        return outcomeOf(name, error);
      } finally {
        underWay.delete(id);
        cancelled.delete(id);
      }
    },
    // A cancel arrives while its job lets others speak; one that comes too late is of no job any more.
    cancel(id) {
      if (underWay.has(id)) cancelled.add(id);
    },
  };

  function runOf(id: string, report: Report | null): Run {
    let last = -Infinity;
    return {
      cancelled: () => cancelled.has(id),
      progress: (share, doing) => {
        const now = performance.now();
        if (share < 1 && now - last < TOLD_EVERY_MS) return;
        last = now;
        report?.(share, doing);
      },
      now: () => performance.now(),
    };
  }
}

function outcomeOf(name: string, error: unknown): Outcome<never> {
  if (error instanceof CancelledError) return { kind: 'cancelled' };
  if (error instanceof RangeError || error instanceof LineArtError) return { kind: 'refused', sentence: error.message };
  console.error(`The job ${name} failed.`, error);
  const what = error instanceof Error ? error.message : String(error);
  return { kind: 'refused', sentence: `This could not be worked out: ${what}` };
}

/** Makes the worker that this is called in do some jobs. */
export function serveJobs(jobs: Jobs): void {
  expose(hostOf(jobs));
}
