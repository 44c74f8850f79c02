import { z } from 'zod';
import { type BenchState, LogEntry } from '../../contracts/index.ts';
import { withEntry } from '../../order/index.ts';

/** An entry that the server has not taken yet. */
const Waiting = z.object({ sheetId: z.string(), entry: LogEntry });
export type Waiting = z.infer<typeof Waiting>;

/** What the queue reaches outside itself by. */
export interface QueueDoors {
  /** Sends entries of one plan: the server took them, will not have them, or cannot be asked just now. */
  send(sheetId: string, entries: readonly LogEntry[]): Promise<'taken' | { refused: string } | 'away'>;
  /** What the browser keeps from an earlier day or another tab. */
  read(): Promise<unknown>;
  /** Changes what the browser keeps. @throws where it keeps nothing */
  change(change: (kept: unknown) => readonly Waiting[]): Promise<void>;
  /** Tells a person. */
  say(sentence: string): void;
  /** Tells other tabs that something of a sheet was taken. */
  tell(sheetId: string): void;
}

/** How the queue stands. */
export interface QueueState {
  waiting: readonly Waiting[];
  /** The server did not answer when it was asked last. */
  isAway: boolean;
  /** What waits outlives this tab. */
  isKept: boolean;
}

/** The server is asked again after so long, ms. */
const AGAIN_MS = 2500;
/** So many entries are sent together. */
const TOGETHER = 200;

/**
 * What was done at the table, in the order in which it was done, until the server has taken it. It is shown at once and kept
 * in the browser meanwhile, so that nothing is lost where the server is away or the tab is closed.
 */
export class LogQueue {
  readonly #doors: QueueDoors;
  readonly #againMs: number;
  readonly #listeners = new Set<() => void>();
  readonly #takenUp: Promise<void>;
  #state: QueueState = { waiting: [], isAway: false, isKept: true };
  #keeping: Promise<void> = Promise.resolve();
  #sending: Promise<void> | null = null;
  #timer: ReturnType<typeof setTimeout> | undefined;
  /** So many of the entries that wait are sent one by one, since the server would not have them together. */
  #oneByOne = 0;

  /** Takes up what a closed tab left. @param againMs after so long the server is asked again where it was away */
  constructor(doors: QueueDoors, againMs = AGAIN_MS) {
    this.#doors = doors;
    this.#againMs = againMs;
    this.#takenUp = doors.read().then(
      (kept) => {
        const known = new Set(this.#state.waiting.map(({ entry }) => entry.id));
        const left = readKept(kept).filter(({ entry }) => !known.has(entry.id));
        this.#show({ waiting: [...left, ...this.#state.waiting] });
      },
      () => this.#show({ isKept: false }),
    );
  }

  get state(): QueueState {
    return this.#state;
  }

  /** @returns what ends it */
  subscribe(listener: () => void): () => void {
    this.#listeners.add(listener);
    return () => void this.#listeners.delete(listener);
  }

  /** Adds what one press says. */
  add(sheetId: string, entries: readonly LogEntry[]): void {
    const added = entries.map((entry) => ({ sheetId, entry }));
    this.#show({ waiting: [...this.#state.waiting, ...added] });
    this.#keep((kept) => [...kept, ...added]);
    void this.send();
  }

  /** Sends what waits, in turn. @returns once all of it is with the server, or the server is away */
  send(): Promise<void> {
    this.#sending ??= this.#takenUp.then(() => this.#sendAll()).finally(() => (this.#sending = null));
    return this.#sending;
  }

  async #sendAll(): Promise<void> {
    clearTimeout(this.#timer);
    for (let first = this.#state.waiting[0]; first; first = this.#state.waiting[0]) {
      const { sheetId } = first;
      const entries = this.#firstTogether();
      const answer = await this.#doors.send(sheetId, entries);
      if (answer === 'away') {
        this.#show({ isAway: true });
        this.#timer = setTimeout(() => void this.send(), this.#againMs);
        return;
      }
      if (answer !== 'taken' && entries.length > 1) {
        // One of them is at fault: the others are not lost for it.
        this.#oneByOne = entries.length;
        continue;
      }
      if (answer !== 'taken') this.#doors.say(answer.refused);
      this.#oneByOne = Math.max(0, this.#oneByOne - 1);
      const sent = new Set(entries.map(({ id }) => id));
      this.#show({ waiting: this.#state.waiting.filter((each) => !sent.has(each.entry.id)), isAway: false });
      this.#keep((kept) => kept.filter((each) => !sent.has(each.entry.id)));
      this.#doors.tell(sheetId);
    }
  }

  /** The entries that are sent next: the first, and what follows it of the same plan. */
  #firstTogether(): LogEntry[] {
    const { waiting } = this.#state;
    const isOther = ({ sheetId, entry }: Waiting) =>
      sheetId !== waiting[0]!.sheetId || entry.planId !== waiting[0]!.entry.planId;
    const other = waiting.findIndex(isOther);
    const most = this.#oneByOne > 0 ? 1 : Math.min(TOGETHER, other < 0 ? waiting.length : other);
    return waiting.slice(0, most).map(({ entry }) => entry);
  }

  /** Changes what is kept, one change after the other. Where the browser keeps nothing, entries last as long as the tab. */
  #keep(change: (kept: readonly Waiting[]) => readonly Waiting[]): void {
    this.#keeping = this.#keeping
      .then(() => this.#doors.change((kept) => change(readKept(kept))))
      .then(
        () => this.#show({ isKept: true }),
        () => this.#show({ isKept: false }),
      );
  }

  #show(change: Partial<QueueState>): void {
    this.#state = { ...this.#state, ...change };
    for (const listener of this.#listeners) listener();
  }
}

/** A bench as it stands with what waits. */
export function withWaiting(bench: BenchState, waiting: readonly Waiting[], sheetId: string): BenchState {
  const own = waiting.filter((each) => each.sheetId === sheetId && each.entry.planId === bench.plan?.id);
  return own.reduce((state, { entry }) => withEntry(state, entry), bench);
}

/** Entries as another tab or an earlier day left them; what is none is passed over. */
function readKept(kept: unknown): readonly Waiting[] {
  return z
    .array(z.unknown())
    .catch([])
    .parse(kept)
    .flatMap((each) => Waiting.safeParse(each).data ?? []);
}
