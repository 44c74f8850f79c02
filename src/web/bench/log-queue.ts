import { get, update } from 'idb-keyval';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { toast } from 'sonner';
import { z } from 'zod';
import { type BenchState, LogEntry } from '../../contracts/index.ts';
import { withEntry } from '../../order/index.ts';
import { deskApi } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { store } from '../app/store.ts';

/** An entry that the server has not taken yet. */
const Waiting = z.object({ sheetId: z.string(), entry: LogEntry });
type Waiting = z.infer<typeof Waiting>;

const KEPT_AS = 'harmonie: entries that wait';
/** The server is asked again after so long, ms. */
const AGAIN_MS = 2500;

/**
 * What was done at the table goes into this queue and is shown at once. It is kept in the browser until the server has
 * taken it, so that nothing is lost where the server is away or the tab is closed. All tabs keep theirs in one list.
 */
let waiting: readonly Waiting[] = [];
let isAway = false;
let sending: Promise<void> | null = null;
let timer: ReturnType<typeof setTimeout> | undefined;
let keeping: Promise<unknown> = Promise.resolve();
const listeners = new Set<() => void>();
/** Other tabs are told when something was taken, so that they look again. */
const otherTabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('harmonie: the table');

function show(next: readonly Waiting[], away = isAway) {
  waiting = next;
  isAway = away;
  for (const listener of listeners) listener();
}

/** Changes what is kept, one change after the other. Where the browser keeps nothing, entries last as long as the tab. */
function keep(change: (kept: readonly Waiting[]) => readonly Waiting[]) {
  keeping = keeping.then(() => update(KEPT_AS, (kept) => change(readKept(kept)))).catch(() => undefined);
}

/** Entries as another tab or an earlier day left them; what is none is passed over. */
function readKept(kept: unknown): readonly Waiting[] {
  return z
    .array(z.unknown())
    .catch([])
    .parse(kept)
    .flatMap((each) => Waiting.safeParse(each).data ?? []);
}

/** Takes up what a closed tab left, once. */
const takenUp = get(KEPT_AS).then(
  (kept) => {
    const known = new Set(waiting.map(({ entry }) => entry.id));
    show([...readKept(kept).filter(({ entry }) => !known.has(entry.id)), ...waiting]);
  },
  () => undefined,
);

/** Adds to the log of the table. */
export function logAtTable(sheetId: string, entry: LogEntry): void {
  const added = { sheetId, entry };
  show([...waiting, added]);
  keep((kept) => [...kept, added]);
  void send();
}

/** Once all that was done so far is with the server, or the server is away. */
export function allSent(): Promise<void> {
  return send();
}

/** Sends what waits, in turn; stops where the server is away and tries again a little later. */
function send(): Promise<void> {
  sending ??= takenUp.then(sendAll).finally(() => (sending = null));
  return sending;
}

async function sendAll(): Promise<void> {
  clearTimeout(timer);
  while (waiting.length > 0) {
    const [first] = waiting;
    const { error } = await store.dispatch(deskApi.endpoints.logStep.initiate(first));
    if (error && isAwayBy(error)) {
      show(waiting, true);
      timer = setTimeout(() => void send(), AGAIN_MS);
      return;
    }
    if (error) toast.error(sentenceOf(error));
    show(
      waiting.filter((each) => each !== first),
      false,
    );
    keep((kept) => kept.filter((each) => each.entry.id !== first.entry.id));
    otherTabs?.postMessage(first.sheetId);
  }
}

/** What the server says while an entry may still be taken later: that the code is to be given anew, or to come slower. */
const LATER = [401, 429];

/** No answer of Harmonie's came, or one that says to come again. */
function isAwayBy(error: object): boolean {
  const status = 'status' in error ? error.status : null;
  return typeof status !== 'number' || status >= 500 || LATER.includes(status);
}

/** A bench with what waits to be sent, and whether the server is away. */
export function useWithWaiting(sheetId: string, bench: BenchState | undefined) {
  const all = useSyncExternalStore(subscribe, () => waiting);
  const away = useSyncExternalStore(subscribe, () => isAway);
  useEffect(() => {
    void send();
    const again = () => void send();
    const look = ({ data }: MessageEvent<string>) => {
      if (data === sheetId) void store.dispatch(deskApi.endpoints.bench.initiate(sheetId, { forceRefetch: true }));
    };
    window.addEventListener('online', again);
    otherTabs?.addEventListener('message', look);
    return () => {
      window.removeEventListener('online', again);
      otherTabs?.removeEventListener('message', look);
    };
  }, [sheetId]);
  const shown = useMemo(() => bench && withWaiting(sheetId, bench, all), [all, bench, sheetId]);
  return { bench: shown, away, waits: all.filter((each) => each.sheetId === sheetId).length };
}

/** The bench of a sheet as it stands at this moment; undefined until it was fetched. */
export function benchNow(sheetId: string): BenchState | undefined {
  const { data } = deskApi.endpoints.bench.select(sheetId)(store.getState());
  return data && withWaiting(sheetId, data, waiting);
}

function withWaiting(sheetId: string, bench: BenchState, all: readonly Waiting[]): BenchState {
  const own = all.filter((each) => each.sheetId === sheetId && each.entry.planId === bench.plan?.id);
  return own.reduce((state, { entry }) => withEntry(state, entry), bench);
}

function subscribe(listener: () => void) {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}
