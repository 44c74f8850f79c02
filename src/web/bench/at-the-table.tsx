import { ArrowLeft, Undo2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useCallback, useEffect, useMemo, useRef } from 'react';
import { toast } from 'sonner';
import type { BenchPlan, LogEntry } from '../../contracts/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { useLogStepMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { useDesk } from '../desk/desk-context.ts';
import { SheetView } from '../desk/sheet-view.tsx';
import { usePreview, useZoneVeil } from '../desk/use-preview.ts';
import { PinnedBeside } from '../references/index.ts';
import {
  BeliefMark,
  Button,
  Laydown,
  PointMark,
  PressureMark,
  StrokeMark,
  ZoneBar,
  zoneWords,
} from '../parts/index.ts';
import { about } from './about.ts';
import { useAwake } from './use-awake.ts';
import { useLaidByDone } from './use-laid-by-done.ts';

/** Presses closer together than this are one press, ms. */
const ONE_PRESS = 600;

/** A sitting: one step fills the screen, to be read from an arm's length. Space marks it done, Backspace takes it back. */
export function AtTheTable({ plan, done, onLeave }: { plan: BenchPlan; done: readonly LogEntry[]; onLeave(): void }) {
  const { sheet, pencilById, use } = useDesk();
  useAwake();
  const doneIds = useMemo(() => new Set(done.map((entry) => entry.stepId)), [done]);
  const left = useMemo(() => plan.order.filter((id) => !doneIds.has(id)), [plan, doneIds]);
  const stepOf = useMemo(() => new Map(plan.steps.map((step) => [step.id, step])), [plan]);
  const nameOf = useMemo(() => new Map(plan.things.map((thing) => [thing.id, thing.name])), [plan]);
  const pencilThen = useMemo(() => new Map(plan.pencils.map((pencil) => [pencil.id, pencil])), [plan]);
  const step = stepOf.get(left[0]);
  const next = stepOf.get(left[1]);
  const { markDone, takeBack } = useMarking(plan, step?.id, done.at(-1)?.stepId);
  // The preview runs one layer ahead: it shows what this step should leave behind.
  const afterStep = useMemo(() => (step ? [...done, { stepId: step.id } as LogEntry] : done), [done, step]);
  const preview = usePreview(useLaidByDone({ plan, done: afterStep as LogEntry[] }), true);
  const veil = useZoneVeil(step);
  const regionIds = useMemo(() => step?.regionIds ?? [], [step]);

  if (!step) {
    return (
      <main className="flex min-h-dvh flex-col items-start justify-center gap-4 px-16">
        <h1 className="text-4xl">Every step of this order is done.</h1>
        <p className="text-lg">Stand back and look: is it dark enough at the dark end?</p>
        <Button look="strong" onClick={onLeave}>
          Back to the bench
        </Button>
      </main>
    );
  }
  const pencil = pencilThen.get(step.pencil);
  const present = pencilById.get(step.pencil);
  const nextPencil = next && pencilThen.get(next.pencil);
  return (
    <div className="flex h-dvh flex-col">
      <header className="flex h-13 shrink-0 items-center gap-3 px-4">
        <button type="button" onClick={onLeave} className="flex h-10 items-center gap-2 pr-3 hover:bg-card">
          <ArrowLeft size={20} /> <span className="max-md:sr-only">Leave the table</span>
        </button>
        <span className="ml-auto font-figure whitespace-nowrap">
          step {plan.order.length - left.length + 1} of {plan.order.length}
        </span>
        <div className="h-2.5 w-48 border max-md:w-20 border-ink bg-leaf" aria-hidden>
          <div
            className="hatch-fill h-full"
            style={{ width: `${(100 * (plan.order.length - left.length)) / plan.order.length}%` }}
          />
        </div>
      </header>
      <main className="grid min-h-0 flex-1 grid-rows-[34dvh_minmax(0,1fr)] md:grid-cols-[minmax(0,1fr)_minmax(23rem,27rem)] md:grid-rows-1">
        <div className="min-h-0">
          <SheetView
            under={preview?.picture}
            overInk={preview?.overInk}
            veil={veil}
            selected={regionIds}
            paperTint={paperById(sheet.plan.page.paper).tint}
            fitRegions={regionIds}
            fitKey={step.id}
          />
        </div>
        <section aria-live="polite" className="flex min-h-0 flex-col bg-card" data-testid="step">
          <div
            className="min-h-0 flex-1 overflow-y-auto px-7 pt-5 max-md:px-4 max-md:pt-3"
            tabIndex={0}
            role="group"
            aria-label="Step"
          >
            <div className="flex items-center gap-4">
              <div className="bg-ground p-2">
                {present && <Laydown pencil={present} use={use} width={120} height={84} />}
              </div>
              <div>
                <div className="font-figure text-6xl leading-none font-bold" data-testid="step-code">
                  {pencil?.code}
                </div>
                <div className="mt-1.5 flex items-center gap-2 text-lg">
                  {pencil?.name} {present && <BeliefMark belief={use.beliefIn(present)} />}
                </div>
              </div>
            </div>
            <h1 className="mt-4 text-3xl">{nameOf.get(step.thingId)}</h1>
            <p className="mt-0.5 text-lg">
              {step.regionIds.length === 1 ? '1 region' : `${step.regionIds.length} regions`}, {zoneWords(step.zone)}
            </p>
            <div className="mt-2">
              <ZoneBar zone={step.zone} />
            </div>
            <dl className="mt-4 grid grid-cols-3 gap-2">
              <Fact name="pressure" value={step.pressure} mark={<PressureMark pressure={step.pressure} size={84} />} />
              <Fact name="stroke" value={step.stroke} mark={<StrokeMark stroke={step.stroke} size={76} />} />
              <Fact name="point" value={step.point} mark={<PointMark point={step.point} size={76} />} />
            </dl>
            <p className="mt-4 border-t border-rule pt-3 text-xl leading-snug">{step.purpose}</p>
            <PinnedBeside sheetId={sheet.id} thingId={step.thingId} things={sheet.plan.things} />
            <p className="mt-1 text-soft">
              {step.passes === 1 ? 'Go over it once' : `Go over it ${step.passes} times`}, {about(step.minutes)}.
            </p>
            <p className="mt-2 border-t border-rule pt-2 text-[1.05rem]">
              {!next && 'This is the last step.'}
              {next &&
                next.pencil === step.pencil &&
                `Next, with the same pencil: ${nameOf.get(next.thingId)}, ${next.pressure}.`}
              {next && next.pencil !== step.pencil && (
                <>
                  Next: <strong className="font-figure">{nextPencil?.code}</strong> for {nameOf.get(next.thingId)}.
                </>
              )}
            </p>
          </div>
          <div className="shrink-0 px-7 pt-3 pb-4 max-md:px-4">
            <div className="flex gap-2">
              <Button look="strong" large className="flex-1" onClick={markDone} aria-keyshortcuts="Space">
                Done
              </Button>
              <Button
                large
                className="w-20"
                onClick={takeBack}
                disabled={done.length === 0}
                aria-label="Take the last step back"
                title="Take the last step back (Backspace)"
              >
                <Undo2 />
              </Button>
            </div>
            <p className="mt-1.5 text-sm text-soft max-md:hidden">Space: done. Backspace: not done after all.</p>
          </div>
        </section>
      </main>
    </div>
  );
}

function Fact({ name, value, mark }: { name: string; value: string; mark: React.ReactNode }) {
  return (
    <div className="bg-leaf px-2 py-2">
      <dt className="text-sm text-soft">{name}</dt>
      <dd>
        <span className="flex h-14 items-center justify-center">{mark}</span>
        <span className="block text-center font-semibold">{value}</span>
      </dd>
    </div>
  );
}

/** When something was pressed, ms of the page's clock. */
type Pressed = Pick<Event, 'timeStamp'>;

/** Marks the present step done and takes the last one back, by press or key; the time runs from when the step came up. */
function useMarking(plan: BenchPlan, stepId: string | undefined, lastDone: string | undefined) {
  const { sheet } = useDesk();
  const [log] = useLogStepMutation();
  const cameUp = useRef({ stepId: '', at: new Date() });
  const lastPress = useRef(-Infinity);
  useEffect(() => {
    cameUp.current = { stepId: stepId ?? '', at: new Date() };
  }, [stepId]);
  const send = useCallback(
    async (id: string | undefined, kind: LogEntry['kind'], { timeStamp }: Pressed) => {
      // By when it was pressed, not by when a busy page gets to it.
      if (!id || timeStamp - lastPress.current < ONE_PRESS) return;
      lastPress.current = timeStamp;
      const now = Date.now();
      const startedAt = kind === 'done' ? cameUp.current.at : new Date(now);
      const entry = {
        id: nanoid(),
        planId: plan.id,
        stepId: id,
        kind,
        startedAt: startedAt.toISOString(),
        finishedAt: new Date(now).toISOString(),
      };
      const { error } = await log({ sheetId: sheet.id, entry });
      if (error) toast.error(sentenceOf(error));
    },
    [log, plan.id, sheet.id],
  );
  const markDone = useCallback((press: Pressed) => void send(stepId, 'done', press), [send, stepId]);
  const takeBack = useCallback((press: Pressed) => void send(lastDone, 'not done after all', press), [send, lastDone]);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const inControl = event.target instanceof Element && event.target.closest('button, input, a, [role="button"]');
      if (inControl || event.repeat || event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.code === 'Space') markDone(event);
      else if (event.key === 'Backspace') takeBack(event);
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [markDone, takeBack]);
  return { markDone, takeBack };
}
