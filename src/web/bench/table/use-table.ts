import { nanoid } from 'nanoid';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { BenchPlan, BenchState, CameOut, LogEntry } from '../../../contracts/index.ts';
import { type Round, roundsAhead } from '../../../core/bench/index.ts';
import { roundsOfPlan } from '../../../order/index.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { logAtTable } from '../table-log.ts';
import { pausedOrNot, stepBeginsAnew, workedAtStep } from './clock.ts';
import { type LogPress, entriesOf } from './entries-of-press.ts';
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

const NOTHING: ReadonlySet<string> = new Set();

/** A sitting under way: what comes up, what was done, and how long it takes. */
export function useTable(bench: BenchState, benchPlan: BenchPlan) {
  const { sheet } = useDesk();
  const { done, skipped } = bench;
  const stepOf = useMemo(() => new Map(benchPlan.steps.map((step) => [step.id, step])), [benchPlan]);
  const doneIds = useMemo(() => new Set(done.map(({ stepId }) => stepId)), [done]);
  const rounds = useMemo(() => roundsOfPlan(benchPlan).flat(), [benchPlan]);
  const roundOf = useMemo(
    () => new Map(rounds.flatMap(({ id, steps }) => steps.map((step) => [step.id, id] as const))),
    [rounds],
  );
  const ahead = useMemo(() => roundsAhead(rounds, doneIds, skipped), [rounds, doneIds, skipped]);
  // Looking ahead holds for the step that was up then, and so does what is chosen of it.
  const [look, setLook] = useState({ from: '', by: 0 });
  const up = ahead[0];
  const by = look.from === up?.id ? Math.min(look.by, ahead.length - 1) : 0;
  const round = ahead[by];
  const [chosen, setChosen] = useState({ from: '', shapes: NOTHING });
  // What was chosen and is done or put off by now is chosen no longer.
  const shapes = useMemo(() => {
    if (!round || chosen.from !== round.id) return NOTHING;
    return new Set(round.steps.flatMap(({ id }) => (chosen.shapes.has(id) ? [id] : [])));
  }, [round, chosen]);
  /** What the buttons are for: what is chosen of the step, or else all of it. */
  const meant = useMemo(() => {
    const own = round?.steps.filter(({ id }) => shapes.has(id)) ?? [];
    return own.length > 0 ? own : (round?.steps ?? []);
  }, [round, shapes]);
  const { clock, now, change } = useClock(sheet.id, up?.id ?? '');
  const lastPress = useRef<Taken>({ for: null, at: -Infinity });
  /** The press that was just taken; null once the next for the same counts as another. */
  const [taken, setTaken] = useState<Taken | null>(null);
  useEffect(() => {
    if (taken === null) return;
    const timer = setTimeout(() => setTaken(null), ONE_PRESS);
    return () => clearTimeout(timer);
  }, [taken]);

  const log = useCallback(
    (steps: Round['steps'], press: Omit<LogPress, 'planId' | 'began' | 'ended' | 'workedMs'>) => {
      const ended = Date.now();
      // What is taken back or put off took no time; what is looked ahead to was not worked at.
      const isWorked = by === 0 && (press.kind === 'done' || press.kind === 'part done');
      // Where work was paused and the step is done all the same, the pause counts as one.
      const workedMs = isWorked ? workedAtStep(clock, ended) : 0;
      const began = isWorked ? clock.stepSince : ended;
      logAtTable(sheet.id, entriesOf(steps, { ...press, planId: benchPlan.id, began, ended, workedMs }));
      if (isWorked) change(stepBeginsAnew);
    },
    [by, clock, change, sheet.id, benchPlan.id],
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
      if (meant.length === 0 || isOnePress(press, 'done')) return;
      const waits = meant.some(({ after }) => after.some((id) => stepOf.has(id) && !doneIds.has(id)));
      if (waits) return void toast('This step waits for an earlier one. Press the left arrow to go back to it.');
      if (clock.pausedAt !== null) change(pausedOrNot);
      log(meant, { kind: 'done', usedPencil });
    },
    [meant, isOnePress, stepOf, doneIds, clock.pausedAt, change, log],
  );
  /** What was done last, of one step: its shapes in the order in which they were finished. */
  const lastDone = useMemo(() => {
    const lastRound = roundOf.get(done.at(-1)?.stepId ?? '');
    const from = done.findLastIndex(({ stepId }) => roundOf.get(stepId) !== lastRound);
    return done.slice(from + 1);
  }, [done, roundOf]);
  const takeBack = useCallback(
    (press: Pressed) => {
      if (lastDone.length === 0 || isOnePress(press, 'taken back')) return;
      log(
        lastDone.map(({ stepId }) => stepOf.get(stepId)!),
        { kind: 'not done after all' },
      );
    },
    [lastDone, isOnePress, log, stepOf],
  );
  const putOff = useCallback(
    (press: Pressed) => {
      if (meant.length > 0 && !isOnePress(press, 'put off')) log(meant, { kind: 'skipped' });
    },
    [meant, isOnePress, log],
  );
  const partDone = useCallback(
    (press: Pressed) => {
      if (by > 0 || meant.length === 0 || isOnePress(press, 'part done')) return;
      log(meant, { kind: 'part done' });
      if (clock.pausedAt !== null) change(pausedOrNot);
      toast('Its time so far is kept; the step stays up.');
    },
    [by, meant, isOnePress, log, clock.pausedAt, change],
  );
  /** Says how what was done last came out. */
  const sayHow = useCallback(
    (of: readonly LogEntry[], cameOut: CameOut) =>
      logAtTable(
        sheet.id,
        of.map((entry) => ({ ...entry, id: nanoid(), cameOut })),
      ),
    [sheet.id],
  );
  const lookBy = useCallback(
    (more: number) => up && setLook({ from: up.id, by: Math.min(ahead.length - 1, Math.max(0, by + more)) }),
    [up, ahead.length, by],
  );
  /** Chooses one shape of the step, or lets it go. */
  const choose = useCallback(
    (stepId: string) => {
      if (!round) return;
      const next = new Set(shapes);
      if (!next.delete(stepId)) next.add(stepId);
      setChosen({ from: round.id, shapes: next });
    },
    [round, shapes],
  );
  const chooseAll = useCallback(() => setChosen({ from: '', shapes: NOTHING }), []);
  return {
    round,
    next: ahead[by + 1],
    number: rounds.length - new Set(ahead.map(({ id }) => id)).size + 1,
    of: rounds.length,
    isAhead: by > 0,
    shapes,
    meant,
    choose,
    chooseAll,
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
