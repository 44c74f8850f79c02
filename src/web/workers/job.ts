import { type Run } from '../../core/run/index.ts';

/** A piece of work for a worker: one file each, named and listed once by the worker that does it. */
export interface Job<Input, Output> {
  /**
   * @param soFar tells what it would come to if it were stopped now
   * @throws RangeError with a sentence for a person; CancelledError when the run is cancelled
   */
  run(input: Input, run: Run, soFar: (output: Output) => void): Output | Promise<Output>;
  /** What of the result is handed over rather than copied. */
  handsOver?(output: Output): ArrayBuffer[];
}

/** Jobs by name. */
export type Jobs = Record<string, Job<never, unknown>>;

export type InputOf<J> = J extends Job<infer Input, unknown> ? Input : never;
export type OutputOf<J> = J extends { run(...given: never[]): infer Output } ? Awaited<Output> : never;

/** How a job tells its share done (0..1) and what it is doing. */
export type Report = (share: number, doing: string) => void;

/** What a job comes to: its result, a cancel, or a sentence that says why not. Nothing else comes out of a worker. */
export type Outcome<T> = { kind: 'done'; value: T } | { kind: 'cancelled' } | { kind: 'refused'; sentence: string };
