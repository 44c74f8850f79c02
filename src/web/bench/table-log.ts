import { get, update } from 'idb-keyval';
import { useEffect, useMemo, useSyncExternalStore } from 'react';
import { toast } from 'sonner';
import type { BenchState, LogEntry } from '../../contracts/index.ts';
import { deskApi } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { store } from '../app/store.ts';
import { LogQueue, withWaiting } from './log-queue.ts';

const KEPT_AS = 'harmonie: entries that wait';
/** Other tabs are told when something was taken, so that they look again. */
const otherTabs = typeof BroadcastChannel === 'undefined' ? null : new BroadcastChannel('harmonie: the table');

/** What was done at the table and waits for the server; all tabs keep theirs in one list. */
const queue = new LogQueue({
  async send(waiting) {
    const { data, error } = await store.dispatch(deskApi.endpoints.logStep.initiate(waiting));
    if (data) {
      // The bench knows of it before it waits no longer: the step that was done must not come up again in between.
      store.dispatch(deskApi.util.updateQueryData('bench', waiting.sheetId, () => data));
      return 'taken';
    }
    return isAwayBy(error) ? 'away' : { refused: sentenceOf(error) };
  },
  read: () => get(KEPT_AS),
  change: (change) => update(KEPT_AS, change),
  say: (sentence) => void toast.error(sentence),
  tell: (sheetId) => otherTabs?.postMessage(sheetId),
});

/** What the server says while an entry may still be taken later: that the code is to be given anew, or to come slower. */
const LATER = [401, 429];

/** No answer of Harmonie's came, or one that says to come again. */
function isAwayBy(error: object): boolean {
  const status = 'status' in error ? error.status : null;
  return typeof status !== 'number' || status >= 500 || LATER.includes(status);
}

/** Adds to the log of the table. */
export function logAtTable(sheetId: string, entry: LogEntry): void {
  queue.add(sheetId, entry);
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
