import clsx from 'clsx';
import { nanoid } from 'nanoid';
import { useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { BenchPlan, BenchState } from '../../contracts/index.ts';
import { type Sequence, type Step } from '../../core/bench/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { useStoreBenchMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { type Desk, useDesk } from '../desk/desk-context.ts';
import { Frame } from '../desk/frame.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { useLitRegions } from '../desk/use-lit.ts';
import { usePreview } from '../desk/use-preview.ts';
import { Button, Notice, Pick, PressureMark, Progress, Section, Why } from '../parts/index.ts';
import { type Job, pencilWorker, startJob } from '../workers/index.ts';
import { benchPlanFrom, openSteps } from '../../planning/index.ts';
import { about } from './about.ts';
import { CompareOpen } from './compare-open.tsx';
import { useLaidByDone } from './use-laid-by-done.ts';

/** How many things may be begun and unfinished at once, from one at a time to any. */
const OPEN = [
  {
    value: '1',
    label: 'one thing at a time',
    says: 'Each thing is finished before the next; most changes of pencil.',
  },
  { value: '2', label: 'at most 2 things open', says: 'Nearly one at a time.' },
  { value: '4', label: 'at most 4 things open', says: 'In between.' },
  { value: '8', label: 'at most 8 things open', says: 'Fewer changes of pencil, more half-done things.' },
  {
    value: '50',
    label: 'one pencil across the page',
    says: 'Fewest changes of pencil; everything stays half done for long.',
  },
];

/** Puts all layers into one good order of steps, cut into sittings, and shows it. */
export function PlanSittings({ bench, onSitDown }: { bench: BenchState; onSitDown(): void }) {
  const desk = useDesk();
  const { sheet, recipes } = desk;
  const { bench: wishes, page } = sheet.plan;
  const change = usePlanChange(sheet.id, 'bench');
  const lit = useLitRegions();
  const preview = usePreview(useLaidByDone(bench));
  const { plan, done } = bench;
  const left = plan ? plan.order.length - done.length : 0;
  return (
    <Frame
      title="Bench"
      wholeRest
      centre={
        <div className="flex h-full">
          <div className="min-w-0 flex-1">
            <SheetView
              under={preview?.picture}
              overInk={preview?.overInk}
              lit={lit}
              paperTint={paperById(page.paper).tint}
            />
          </div>
          {plan && <StepList plan={plan} doneIds={done.map((entry) => entry.stepId)} />}
        </div>
      }
      side={
        <>
          <Section title="How the evenings go">
            <div className="grid gap-2">
              <Pick
                label="Things open at once"
                value={String(wishes.openThings)}
                options={OPEN}
                onChange={(value) =>
                  void change('things open at once', { bench: { ...wishes, openThings: Number(value) } })
                }
              />
              {recipes.size > 0 && (
                <CompareOpen
                  steps={() => stepsLeft(desk, bench)}
                  limits={OPEN.map(({ value }) => Number(value))}
                  chosen={wishes.openThings}
                />
              )}
              <Pick
                label="Length of a sitting"
                value={String(wishes.sittingMinutes)}
                options={['20', '30', '40', '60', '90'].map((value) => ({
                  value,
                  label: `sittings of about ${value} min`,
                }))}
                onChange={(value) =>
                  void change('length of a sitting', { bench: { ...wishes, sittingMinutes: Number(value) } })
                }
              />
            </div>
          </Section>
          <PutInOrder bench={bench} />
          {recipes.size === 0 && <Notice>No thing has layers yet. Choose a palette at the Wheel first.</Notice>}
          {plan && (
            <Section title={left === 0 ? 'All steps are done' : done.length ? 'Where you stopped' : 'Ready to begin'}>
              <p>
                {done.length} of {plan.order.length} steps done.
              </p>
              {left > 0 && (
                <Button look="strong" className="mt-2 min-h-12 w-full text-lg" onClick={onSitDown}>
                  {done.length ? 'Go on' : 'Sit down'}
                </Button>
              )}
              <p className="mt-2 text-[0.95rem] text-soft">
                Pause every 20 to 30 minutes and keep the grip light; pain is a reason to stop. Tap dust off, do not
                blow it.
              </p>
            </Section>
          )}
          {plan && <PlanFigures plan={plan} />}
        </>
      }
    />
  );
}

/** An order is looked for so long; what is found in the first second is mostly within a few pick-ups of it. */
const PATIENCE_MS = 4000;

type Ordering = { state: 'idle' } | { state: 'working'; share: number; doing: string };

/** The steps of a sheet that are not done yet. */
function stepsLeft({ sheet, page, recipes, laid }: Desk, bench: BenchState): Step[] {
  return openSteps(sheet.plan, page?.regions ?? [], recipes, (id) => laid.get(id)?.body[0] ?? 50, bench);
}

/** Works out an order for everything that is not done yet, checks and stores it. */
function PutInOrder({ bench }: { bench: BenchState }) {
  const desk = useDesk();
  const { sheet, recipes, pencilById } = desk;
  const [now, setNow] = useState<Ordering>({ state: 'idle' });
  const [store] = useStoreBenchMutation();
  const job = useRef<Job<Sequence> | null>(null);
  const stale = bench.plan !== null && bench.plan.planRevision !== sheet.revision;
  const order = async () => {
    const steps = stepsLeft(desk, bench);
    if (steps.length === 0) return void toast('Every step of this page is done already.');
    const { openThings, sittingMinutes } = sheet.plan.bench;
    setNow({ state: 'working', share: 0, doing: 'laying the steps out' });
    job.current = startJob(
      pencilWorker,
      (jobId, report) =>
        pencilWorker.sequence(jobId, steps, { openThings, sittingMinutes, deadlineMs: PATIENCE_MS }, report),
      // A report may come in after the outcome.
      (share, doing) => setNow((was) => (was.state === 'working' ? { state: 'working', share, doing } : was)),
    );
    const outcome = await job.current.outcome;
    setNow({ state: 'idle' });
    if (outcome.kind === 'refused') toast.error(outcome.sentence);
    if (outcome.kind !== 'done') return;
    const { error } = await store({
      sheetId: sheet.id,
      plan: benchPlanFrom(nanoid(), sheet, steps, outcome.value, pencilById),
    });
    if (error) toast.error(sentenceOf(error));
  };
  if (recipes.size === 0) return null;
  return (
    <Section title="Order of the steps">
      {now.state === 'working' ? (
        <Progress share={now.share} doing={`${now.doing} …`} onCancel={() => job.current?.cancel()} />
      ) : (
        <>
          {stale && <Notice>The sheet was changed since this order was made. What is done stays done.</Notice>}
          <Button look={bench.plan && !stale ? 'plain' : 'strong'} className="mt-2 w-full" onClick={() => void order()}>
            {bench.plan ? 'Put what is left in order again' : 'Put the steps in order'}
          </Button>
        </>
      )}
    </Section>
  );
}

function PlanFigures({ plan }: { plan: BenchPlan }) {
  const inTurn = plan.steps.length
    ? plan.steps.filter((step, i) => i === 0 || plan.steps[i - 1].pencil !== step.pencil).length
    : 0;
  return (
    <Section title="What it comes to">
      <dl className="grid grid-cols-2 gap-y-2">
        {[
          ['steps', String(plan.order.length)],
          ['sittings', String(plan.sittings.length)],
          ['pick-ups', String(plan.pickUps)],
          ['time at the table', about(plan.minutes)],
        ].map(([name, value]) => (
          <div key={name}>
            <dt className="text-sm text-soft">{name}</dt>
            <dd className="font-figure text-lg">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-1 text-[0.95rem]">
        Thing by thing it would take {inTurn} pick-ups; no order can do with fewer than {plan.lowerBound}.{' '}
        <Why of="time at the table">
          Minutes come from area, passes and point by assumed rates: 0.9 min per cm² and pass with a sharp point, 0.45
          with a normal one, 0.14 with the side of the lead, 4 s for each region and 12 s for each pick-up. They are
          guesses until your own times are known.
        </Why>
      </p>
    </Section>
  );
}

/** Every step in order, sitting by sitting; done ones are struck. */
function StepList({ plan, doneIds }: { plan: BenchPlan; doneIds: readonly string[] }) {
  const stepOf = useMemo(() => new Map(plan.steps.map((step) => [step.id, step])), [plan]);
  const pencilOf = useMemo(() => new Map(plan.pencils.map((pencil) => [pencil.id, pencil])), [plan]);
  const thingOf = useMemo(() => new Map(plan.things.map((thing) => [thing.id, thing.name])), [plan]);
  const done = new Set(doneIds);
  return (
    <section
      aria-label="Steps in order"
      className="w-84 shrink-0 overflow-y-auto border-l border-rule bg-leaf px-4 py-3"
      tabIndex={0}
    >
      {plan.sittings.map((sitting, i) => (
        <div key={sitting.steps[0]} className="mb-4">
          <h2 className="mb-1 flex items-baseline justify-between text-[1.05rem]">
            Sitting {i + 1} <span className="font-body text-sm font-normal text-soft">{about(sitting.minutes)}</span>
          </h2>
          <ol className="border-t border-rule">
            {sitting.steps.map((id, k) => {
              const step = stepOf.get(id)!;
              const before = stepOf.get(sitting.steps[k - 1])?.pencil;
              const pencil = pencilOf.get(step.pencil);
              return (
                <li
                  key={id}
                  className={clsx(
                    'flex items-center gap-2 py-0.5',
                    step.pencil !== before && 'border-t border-rule pt-1 first:border-0',
                  )}
                >
                  <span className="w-2.5 self-stretch" style={{ background: pencil?.colour }} aria-hidden />
                  <span className="w-13 font-figure text-[0.9rem] font-bold">
                    {step.pencil === before ? '' : pencil?.code}
                  </span>
                  <PressureMark pressure={step.pressure} size={26} />
                  <span className={clsx('min-w-0 flex-1 truncate text-[0.95rem]', done.has(id) && 'struck')}>
                    {thingOf.get(step.thingId)}
                  </span>
                  <span className="text-sm text-soft">{about(step.minutes)}</span>
                </li>
              );
            })}
          </ol>
        </div>
      ))}
    </section>
  );
}
