import { nanoid } from 'nanoid';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { BenchPlan, BenchState, CameOut, LogEntry } from '../../../contracts/index.ts';
import { stepsAhead } from '../../../core/bench/index.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { logAtTable } from '../table-log.ts';
import { pausedOrNot, workedAtStep } from './clock.ts';
import { useClock } from './use-clock.ts';

/** Presses for the same thing that are closer together than this are one press, ms. */
const ONE_PRESS = 600;

/** When something was pressed, ms of the page's clock. */
export type Pressed = Pick<Event, 'timeStamp'>;

/** What was pressed for last, and when, ms of the page's clock. */
interface Taken {
  for: 'done' | 'taken back' | 'put off' | 'part done' | null;
  at: number;
}

/** A sitting under way: what comes up, what was done, and how long it takes. */
export function useTable(bench: BenchState, benchPlan: BenchPlan) {
  const { sheet } = useDesk();
  const { done, skipped } = bench;
  const stepOf = useMemo(() => new Map(benchPlan.steps.map((step) => [step.id, step])), [benchPlan]);
  const doneIds = useMemo(() => new Set(done.map(({ stepId }) => stepId)), [done]);
  const ahead = useMemo(() => {
    const order = benchPlan.order.map((id) => stepOf.get(id)!);
    return stepsAhead(order, doneIds, skipped);
  }, [benchPlan, stepOf, doneIds, skipped]);
  // Looking ahead holds for the step that was up then.
  const [look, setLook] = useState({ from: '', by: 0 });
  const up = ahead[0];
  const by = look.from === up?.id ? Math.min(look.by, ahead.length - 1) : 0;
  const step = ahead[by];
  const { clock, now, change } = useClock(sheet.id, up?.id ?? '');
  const lastPress = useRef<Taken>({ for: null, at: -Infinity });
  /** The press that was just taken; null once the next for the same counts as another. */
  const [taken, setTaken] = useState<Taken | null>(null);
  useEffect(() => {
    if (taken === null) return;
    const timer = setTimeout(() => setTaken(null), ONE_PRESS);
    return () => clearTimeout(timer);
  }, [taken]);

  const entry = useCallback(
    (stepId: string, kind: LogEntry['kind'], rest: Partial<LogEntry> = {}): LogEntry => {
      const finished = Date.now();
      // Where work was paused and the step is done all the same, the pause counts as one.
      const worked = stepId === clock.stepId && kind !== 'not done after all' ? workedAtStep(clock, finished) : 0;
      const started = stepId === clock.stepId && kind !== 'not done after all' ? clock.stepSince : finished;
      return {
        id: nanoid(),
        planId: benchPlan.id,
        stepId,
        kind,
        startedAt: new Date(started).toISOString(),
        finishedAt: new Date(finished).toISOString(),
        pausedSeconds: Math.max(0, Math.round((finished - started - worked) / 1000)),
        usedPencil: null,
        cameOut: null,
        ...rest,
      };
    },
    [clock, benchPlan.id],
  );
  const isOnePress = useCallback(({ timeStamp }: Pressed, what: Taken['for']) => {
    // By when it was pressed, not by when a busy page gets to it. What takes a slip back is no slip itself.
    const last = lastPress.current;
    if (last.for === what && timeStamp - last.at < ONE_PRESS) return true;
    lastPress.current = { for: what, at: timeStamp };
    setTaken(lastPress.current);
    return false;
  }, []);
  const markDone = useCallback(
    (press: Pressed, usedPencil: string | null = null) => {
      if (!step || isOnePress(press, 'done')) return;
      const waitsFor = step.after.find((id) => stepOf.has(id) && !doneIds.has(id));
      if (waitsFor) return void toast('This step waits for an earlier one. Press the left arrow to go back to it.');
      if (clock.pausedAt !== null) change(pausedOrNot);
      logAtTable(sheet.id, entry(step.id, 'done', { usedPencil }));
    },
    [step, isOnePress, stepOf, doneIds, clock.pausedAt, change, sheet.id, entry],
  );
  const lastDone = done.at(-1);
  const takeBack = useCallback(
    (press: Pressed) => {
      if (lastDone && !isOnePress(press, 'taken back'))
        logAtTable(sheet.id, entry(lastDone.stepId, 'not done after all'));
    },
    [lastDone, isOnePress, sheet.id, entry],
  );
  const putOff = useCallback(
    (press: Pressed) => {
      if (step && !isOnePress(press, 'put off')) logAtTable(sheet.id, entry(step.id, 'skipped'));
    },
    [step, isOnePress, sheet.id, entry],
  );
  const partDone = useCallback(
    (press: Pressed) => {
      if (!up || isOnePress(press, 'part done')) return;
      logAtTable(sheet.id, entry(up.id, 'part done'));
      change((was, at) => ({ ...was, stepSince: at, stepPausedMs: 0, pausedAt: null }));
      toast('Its time so far is kept; the step stays up.');
    },
    [up, isOnePress, sheet.id, entry, change],
  );
  /** Says how the step that was done last came out. */
  const sayHow = useCallback(
    (of: LogEntry, cameOut: CameOut) => logAtTable(sheet.id, { ...of, id: nanoid(), cameOut }),
    [sheet.id],
  );
  const lookBy = useCallback(
    (more: number) => up && setLook({ from: up.id, by: Math.min(ahead.length - 1, Math.max(0, by + more)) }),
    [up, ahead.length, by],
  );
  return {
    step,
    next: ahead[by + 1],
    isAhead: by > 0,
    ahead,
    stepOf,
    doneIds,
    lastDone,
    taken: taken?.for ?? null,
    clock,
    now,
    change,
    markDone,
    takeBack,
    putOff,
    partDone,
    sayHow,
    lookBy,
  };
}
