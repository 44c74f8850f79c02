import { proxy } from 'comlink';
import { nanoid } from 'nanoid';
import PQueue from 'p-queue';
import { type InputOf, type Jobs, type Outcome, type OutputOf, type Report } from './job.ts';
import { type JobHost } from './job-host.ts';

/** A worker as its client sees it. */
export interface Thread {
  host: { run(...given: Parameters<JobHost['run']>): Promise<Outcome<unknown>>; cancel(id: string): unknown };
  /** Resolves with a sentence once the worker is of no use any more. */
  broken: Promise<string>;
  end(): void;
}

/** How soon a job is begun beside others that wait: what a hand waits for before what is only looked ahead for. */
export const PRIORITY = { waitedFor: 2, usual: 1, ahead: 0 } as const;

/** A job that was asked for. */
export interface JobUnderWay<T> {
  outcome: Promise<Outcome<T>>;
  /** Takes it out of the line, or stops it where it next lets others speak; its outcome is `cancelled` at once. */
  cancel(): void;
}

export interface JobOptions<T> {
  /** One of {@link PRIORITY}; default usual. */
  priority?: number;
  report?: Report;
  /** Told what it would come to if it were stopped now, by jobs that know. */
  soFar?: (value: T) => void;
}

/** So many jobs of a worker may be under way at once: a long one lets a short one in whenever it breathes. */
const EACH = 2;

interface Running {
  thread: Thread;
  jobs: number;
  /** What becomes of its jobs when it ends before them. */
  ended: Promise<Outcome<never>>;
  end(outcome: Outcome<never>): void;
}

/** Has jobs done by workers, which are started when they are first needed. */
export class JobClient<J extends Jobs> {
  readonly #startThread: () => Thread;
  readonly #most: number;
  readonly #queue: PQueue;
  #running: Running[] = [];

  /** @param most workers at once; jobs that share what they keep need one. Default 1 */
  constructor(startThread: () => Thread, most = 1) {
    this.#startThread = startThread;
    this.#most = most;
    this.#queue = new PQueue({ concurrency: EACH * most });
  }

  /** Asks for a job. */
  start<Name extends keyof J & string>(
    name: Name,
    input: InputOf<J[Name]>,
    { priority = PRIORITY.usual, report, soFar }: JobOptions<OutputOf<J[Name]>> = {},
  ): JobUnderWay<OutputOf<J[Name]>> {
    const id = nanoid(8);
    const stop = new AbortController();
    let at: Running | null = null;
    // What a cancelled job says until it hears of it is not told.
    const told = <Said extends unknown[]>(listener?: (...said: Said) => void) =>
      listener ? proxy((...said: Said) => stop.signal.aborted || listener(...said)) : null;
    const work = async (): Promise<Outcome<unknown>> => {
      at = this.#leastBusy();
      at.jobs++;
      try {
        const done = at.thread.host.run(name, id, input, told(report), told(soFar as (value: unknown) => void));
        return await Promise.race([done, at.ended]);
      } finally {
        at.jobs--;
      }
    };
    const cancelled = { kind: 'cancelled' } as const;
    const stopped = new Promise<Outcome<never>>((resolve) =>
      stop.signal.addEventListener('abort', () => resolve(cancelled)),
    );
    const done = this.#queue
      .add(work, { priority, signal: stop.signal })
      .catch((error: Error): Outcome<never> =>
        stop.signal.aborted
          ? cancelled
          : { kind: 'refused', sentence: `This could not be asked for: ${error.message}` },
      );
    return {
      outcome: Promise.race([stopped, done]) as Promise<Outcome<OutputOf<J[Name]>>>,
      cancel() {
        stop.abort();
        if (at) void at.thread.host.cancel(id);
      },
    };
  }

  /** Starts a worker that will be needed in a moment, so that it loads while that is fetched which its first job waits for. */
  prepare(): void {
    if (this.#running.length === 0) this.#started();
  }

  /** Whether nothing waits and nothing is under way. */
  get isIdle(): boolean {
    return this.#queue.size === 0 && this.#queue.pending === 0;
  }

  /** Calls a listener whenever that may have changed. @returns what ends it */
  subscribe(listener: () => void): () => void {
    const events = ['add', 'next'] as const;
    for (const event of events) this.#queue.on(event, listener);
    return () => {
      for (const event of events) this.#queue.off(event, listener);
    };
  }

  /** Ends all workers, and with them what they hold and what is under way; the next job starts another. */
  rest(): void {
    for (const running of this.#running) running.end({ kind: 'cancelled' });
  }

  #leastBusy(): Running {
    const idle = this.#running.find(({ jobs }) => jobs === 0);
    if (idle) return idle;
    if (this.#running.length < this.#most) {
      return this.#started();
    }
    return this.#running.reduce((a, b) => (b.jobs < a.jobs ? b : a));
  }

  #started(): Running {
    const thread = this.#startThread();
    let ending!: (outcome: Outcome<never>) => void;
    const ended = new Promise<Outcome<never>>((resolve) => (ending = resolve));
    const end = (outcome: Outcome<never>) => {
      this.#running = this.#running.filter((each) => each !== running);
      thread.end();
      ending(outcome);
    };
    const running: Running = { thread, jobs: 0, ended, end };
    void thread.broken.then((sentence) => end({ kind: 'refused', sentence }));
    this.#running.push(running);
    return running;
  }
}
