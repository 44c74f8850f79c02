import { useCallback, useEffect, useState } from 'react';
import { Clock, clockFrom, seenAgain, stepComesUp } from './clock.ts';

/** The clock shows minutes: it need not be looked at more often. */
const TICK_MS = 5000;
const keyOf = (sheetId: string) => `harmonie: clock of ${sheetId}`;

/** The clock of a sitting; kept in the browser, so that a closed tab goes on where it was. */
export function useClock(sheetId: string, stepId: string) {
  const [now, setNow] = useState(() => Date.now());
  const [clock, setClock] = useState(() => {
    const kept = read(sheetId);
    return kept ? seenAgain(kept, Date.now()) : clockFrom(Date.now(), stepId);
  });
  // The next step came up since: its time begins now.
  if (clock.stepId !== stepId && stepId !== '') setClock(stepComesUp(clock, now, stepId));
  useEffect(() => {
    const timer = setInterval(() => {
      setNow(Date.now());
      // Only somebody before the page counts as seen; a computer that slept wakes with a gap.
      if (document.visibilityState === 'visible') setClock((was) => seenAgain(was, Date.now()));
    }, TICK_MS);
    return () => clearInterval(timer);
  }, []);
  useEffect(() => {
    try {
      localStorage.setItem(keyOf(sheetId), JSON.stringify(clock));
    } catch {
      // A browser that keeps nothing: the clock lasts as long as the tab.
    }
  }, [sheetId, clock]);
  const change = useCallback((move: (clock: Clock, now: number) => Clock) => {
    setNow(Date.now());
    setClock((was) => move(was, Date.now()));
  }, []);
  return { clock, now: Math.max(now, clock.seenAt), change };
}

function read(sheetId: string): Clock | null {
  try {
    const kept = Clock.safeParse(JSON.parse(localStorage.getItem(keyOf(sheetId)) ?? 'null'));
    return kept.success ? kept.data : null;
  } catch {
    return null;
  }
}
