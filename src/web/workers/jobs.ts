import { CancelledError, type Run } from '../../core/run/index.ts';

/** How a job tells its share done (0..1) and what it is doing. */
export type Report = (share: number, doing: string) => void;

/** Jobs of one worker by the id that its caller gave; cancels arrive as messages while a job lets others speak. */
const cancelled = new Set<string>();

/** The run that core is given for a job. */
export function runOf(jobId: string, report: Report): Run {
  let last = -1;
  return {
    cancelled: () => cancelled.has(jobId),
    progress: (share, doing) => {
      const now = performance.now();
      if (share < 1 && now - last < 60) return;
      last = now;
      report(share, doing);
    },
    now: () => performance.now(),
  };
}

export function cancelJob(jobId: string): void {
  cancelled.add(jobId);
}

/** What a job comes to: its result, a cancel, or a sentence. Errors lose their class on the way out of a worker. */
export type Outcome<T> = { kind: 'done'; value: T } | { kind: 'cancelled' } | { kind: 'refused'; sentence: string };

export async function outcomeOf<T>(work: () => Promise<T> | T): Promise<Outcome<T>> {
  try {
    return { kind: 'done', value: await work() };
  } catch (error) {
    if (error instanceof CancelledError) return { kind: 'cancelled' };
    if (error instanceof RangeError || (error as Error).name === 'LineArtError') {
      return { kind: 'refused', sentence: (error as Error).message };
    }
    throw error;
  }
}
