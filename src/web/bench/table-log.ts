import { get, update } from 'idb-keyval';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { toast } from 'sonner';
import type { BenchState, LogEntry, Logged } from '../../contracts/index.ts';
import { withEntry } from '../../order/index.ts';
import { deskApi } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { store } from '../app/store.ts';
import { LogQueue, withWaiting } from './log-queue.ts';

const KEPT_AS = 'harmonie: entries that wait';
/** Other tabs are told when something was taken, so that they look again. */
const otherTabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('harmonie: the table');

/** What was done at the table and waits for the server; all tabs keep theirs in one list. */
const queue = new LogQueue({
  async send(sheetId, entries) {
    const { data, error } = await store.dispatch(deskApi.endpoints.logSteps.initiate({ sheetId, entries }));
    if (!data) return isAwayBy(error) ? 'away' : { refused: sentenceOf(error) };
    // The bench knows of it before it waits no longer: the step that was done must not come up again in between.
    await takeInto(sheetId, entries, data);
    return 'taken';
  },
  read: () => get(KEPT_AS),
  change: (change) => update(KEPT_AS, change),
  say: (sentence) => void toast.error(sentence),
  tell: (sheetId) => otherTabs?.postMessage(sheetId),
});

/** Has the bench as it is known here know of entries that the server took. */
async function takeInto(
  sheetId: string,
  entries: readonly LogEntry[],
  { planId, before, last }: Logged,
): Promise<void> {
  const { data: bench } = deskApi.endpoints.bench.select(sheetId)(store.getState());
  if (!bench) return;
  // Another device went on, or put what is left in order again: everything is asked for.
  if (bench.plan?.id !== planId || bench.last !== before || entries.some((entry) => entry.planId !== planId)) {
    await store.dispatch(deskApi.endpoints.bench.initiate(sheetId, { forceRefetch: true, subscribe: false }));
    return;
  }
  const next = { ...entries.reduce((state, entry) => withEntry(state, entry), bench), last };
  store.dispatch(deskApi.util.updateQueryData('bench', sheetId, () => next));
}

/** What the server says while an entry may still be taken later: that the code is to be given anew, or to come slower. */
const LATER = [401, 429];

/** No answer of Harmonie's came, or one that says to come again. */
function isAwayBy(error: object): boolean {
  const status = 'status' in error ? error.status : null;
  return typeof status !== 'number' || status >= 500 || LATER.includes(status);
}

/** Adds to the log of the table. */
export function logAtTable(sheetId: string, entries: readonly LogEntry[]): void {
  queue.add(sheetId, entries);
}

/** Once all that was done so far is with the server, or the server is away. */
export function allSent(): Promise<void> {
  return queue.send();
}

/** The bench of a sheet as it stands at this moment; undefined until it was fetched. */
export function benchNow(sheetId: string): BenchState | undefined {
  const { data } = deskApi.endpoints.bench.select(sheetId)(store.getState());
  return data && withWaiting(data, queue.state.waiting, sheetId);
}

/** A bench with what waits to be sent, and how that is kept meanwhile. */
export function useWithWaiting(sheetId: string, bench: BenchState | undefined) {
  const state = useSyncExternalStore(
    (listener) => queue.subscribe(listener),
    () => queue.state,
  );
  useEffect(() => {
    void queue.send();
    const again = () => void queue.send();
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
  const { waiting, isAway, isKept } = state;
  const shown = useMemo(() => bench && withWaiting(bench, waiting, sheetId), [bench, waiting, sheetId]);
  return { bench: shown, away: isAway, isKept, waits: waiting.filter((each) => each.sheetId === sheetId).length };
}
