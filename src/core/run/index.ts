/** run: how long computations report progress, hear a cancel and tell the time, without knowing where they run. */

/** What a long computation is given by its caller (a browser worker, the server or a test). */
export interface Run {
  /** True once the caller no longer wants the result. */
  cancelled(): boolean;
  /** `share` of the work done, 0..1, and what is being done now, in the colourist's words. */
  progress(share: number, doing: string): void;
  /** Milliseconds from any fixed origin; only differences are used. */
  now(): number;
}

/** Thrown by a long computation that heard a cancel. Nothing it was making is kept. */
export class CancelledError extends Error {
  constructor() {
    super('Stopped before it was finished.');
    this.name = 'CancelledError';
  }
}

/** A run that is never cancelled and reports to nobody. */
export const quietRun: Run = { cancelled: () => false, progress: () => undefined, now: () => 0 };

/** Milliseconds a computation may hold its thread before it lets others speak. */
const BREATH_MS = 8;

/**
 * Makes the function a long computation awaits between pieces of work. It reports progress every time, hears a
 * cancel every time, and lets the event loop turn when at least 8 ms have passed since it last did.
 * @throws CancelledError from the returned function when the caller has cancelled.
 */
export function checkpoints(run: Run): (share: number, doing: string) => Promise<void> {
  let last = run.now();
  return async (share, doing) => {
    if (run.cancelled()) throw new CancelledError();
    run.progress(share, doing);
    if (run.now() - last >= BREATH_MS) {
      await yieldToEventLoop();
      last = run.now();
      if (run.cancelled()) throw new CancelledError();
    }
  };
}

interface Port {
  onmessage: (() => void) | null;
  postMessage(message: unknown): void;
  close(): void;
}

/**
 * A turn of the event loop, by a message to ourselves: a timer would wait 4 ms each time, half as long again as what it
 * parts. Channels are found by name because core is compiled without a host's types.
 */
function yieldToEventLoop(): Promise<void> {
  const host = globalThis as unknown as { MessageChannel: new () => { port1: Port; port2: Port } };
  const { port1, port2 } = new host.MessageChannel();
  return new Promise((resolve) => {
    port1.onmessage = () => {
      port1.close();
      resolve();
    };
    port2.postMessage(null);
  });
}
