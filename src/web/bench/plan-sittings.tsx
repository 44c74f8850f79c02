import { useMemo, useState } from 'react';
import type { BenchPlan, BenchState } from '../../contracts/index.ts';
import { BY_THE_PAGE, USUAL_COSTS, openLimit, ruleById } from '../../core/bench/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { about, isOutOfDate, roundsOfPlan } from '../../order/index.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Frame } from '../desk/frame.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { useLitRegions } from '../desk/use-lit.ts';
import { usePreview } from '../desk/use-preview.ts';
import { Button, Choice, Notice, Progress, Section, Why } from '../parts/index.ts';
import { HoursSection } from '../desk/hours-section.tsx';
import { CompareOpen } from './compare-open.tsx';
import { EveningsWished } from './evenings.tsx';
import { FewerEvenings } from './fewer-evenings.tsx';
import { OpenThings, chosenByPage } from './open-things.tsx';
import { LostPencil } from './lost-pencil.tsx';
import { Overview } from './overview.tsx';
import { RulesOfCraft } from './rules-of-craft.tsx';
import { StepList } from './step-list.tsx';
import { TakeAlong } from './take-along.tsx';
import { useLaidByDone } from '../desk/use-laid-by-done.ts';
import { stepsLeft, useOrder } from './use-order.ts';
import { WhatIsLeft } from './what-is-left.tsx';
import { WhatLiesHere } from './what-lies-here.tsx';

/** Puts all layers into one good order of steps, cut into sittings, and shows it. */
export function PlanSittings({ bench, onSitDown }: { bench: BenchState; onSitDown(): void }) {
  const desk = useDesk();
  const { sheet, page, recipes, pencilById } = desk;
  const { plan, done } = bench;
  const ordering = useOrder(sheet.id);
  const doneIds = useMemo(() => new Set(done.map(({ stepId }) => stepId)), [done]);
  const [look, setLook] = useState<'sheet' | 'order'>('sheet');
  const [regionId, setRegionId] = useState<number | null>(null);
  const [lost, setLost] = useState<string | null>(null);
  const stale = useMemo(
    () =>
      plan !== null &&
      page !== null &&
      isOutOfDate(plan, sheet, page, recipes, bench.finished, (id) => pencilById.has(id)),
    [plan, sheet, page, recipes, bench.finished, pencilById],
  );
  return (
    <Frame
      title="Bench"
      wholeRest
      topOn={regionId === null ? null : String(regionId)}
      centre={
        <div className="flex h-full max-md:flex-col">
          <div className="relative min-w-0 flex-1">
            {plan && look === 'order' ? (
              <Overview benchPlan={plan} doneIds={doneIds} />
            ) : (
              <SheetByDone bench={bench} regionId={regionId} onRegion={setRegionId} />
            )}
            {plan && (
              <div className="absolute right-3 bottom-3 w-64 bg-leaf max-md:w-48">
                <Choice
                  label="What is shown"
                  value={look}
                  options={[
                    { value: 'sheet', label: 'the sheet' },
                    { value: 'order', label: 'the order' },
                  ]}
                  onChange={(value) => setLook(value as 'sheet' | 'order')}
                />
              </div>
            )}
          </div>
          {plan && look === 'sheet' && <StepList bench={bench} benchPlan={plan} />}
        </div>
      }
      side={
        <>
          {regionId !== null && <WhatLiesHere regionId={regionId} />}
          {plan && <Begin benchPlan={plan} doneIds={doneIds} onSitDown={onSitDown} />}
          <Section title="Order of the steps">
            <div className="grid gap-2">
              <OpenThings benchPlan={plan} />
              {recipes.size > 0 && (
                <CompareOpen
                  steps={() => stepsLeft(desk, bench, desk.rates).steps}
                  chosen={openLimit(sheet.plan.bench.openThings) ?? openLimit(chosenByPage(plan) ?? 4)!}
                />
              )}
              <RulesOfCraft />
              <PutInOrder bench={bench} ordering={ordering} stale={stale} />
            </div>
          </Section>
          {recipes.size === 0 && <Notice>No thing has layers yet. Choose a palette at the Wheel first.</Notice>}
          <Section title="How the evenings go">
            <div className="grid gap-2">
              <EveningsWished />
              {plan && <FewerEvenings benchPlan={plan} doneIds={doneIds} />}
            </div>
          </Section>
          <HoursSection />
          {plan && <PlanFigures benchPlan={plan} />}
          {plan && doneIds.size < plan.order.length && (
            <Section title="What is left">
              <WhatIsLeft benchPlan={plan} doneIds={doneIds} onLost={setLost} />
            </Section>
          )}
          {plan && (
            <Section title="To take along">
              <TakeAlong benchPlan={plan} doneIds={doneIds} />
            </Section>
          )}
          {lost && (
            <LostPencil pencilId={lost} onReplaced={() => void ordering.order()} onClose={() => setLost(null)} />
          )}
        </>
      }
    />
  );
}

/** The sheet coloured in by what is done; pressed anywhere it tells what was used there. */
function SheetByDone({
  bench,
  regionId,
  onRegion,
}: {
  bench: BenchState;
  regionId: number | null;
  onRegion(id: number | null): void;
}) {
  const { sheet } = useDesk();
  const lit = useLitRegions();
  const preview = usePreview(useLaidByDone(bench));
  const selected = useMemo(() => (regionId === null ? [] : [regionId]), [regionId]);
  return (
    <SheetView
      predicted={preview}
      lit={lit}
      selected={selected}
      onPick={(id) => onRegion(id === regionId ? null : id)}
      paperTint={paperById(sheet.plan.page.paper).tint}
    />
  );
}

interface BeginProps {
  benchPlan: BenchPlan;
  doneIds: ReadonlySet<string>;
  onSitDown(): void;
}

function Begin({ benchPlan, doneIds, onSitDown }: BeginProps) {
  const open = benchPlan.steps.filter(({ id }) => !doneIds.has(id));
  const rounds = roundsOfPlan(benchPlan).flat();
  const left = rounds.filter(({ steps }) => steps.some(({ id }) => !doneIds.has(id))).length;
  const done = doneIds.size > 0 ? rounds.length - left : 0;
  const minutesLeft = open.reduce((sum, { minutes }) => sum + minutes, 0);
  return (
    <Section title={left === 0 ? 'All steps are done' : doneIds.size > 0 ? 'Where you stopped' : 'Ready to begin'}>
      <p>
        {done} of {rounds.length} steps done{left > 0 && `, ${about(minutesLeft)} left`}.
      </p>
      {left > 0 && (
        <Button look="strong" className="mt-2 min-h-12 w-full text-lg" onClick={onSitDown}>
          {doneIds.size > 0 ? 'Go on' : 'Sit down'}
        </Button>
      )}
      <p className="mt-2 text-[0.95rem] text-soft">
        Pause every 20 to 30 minutes and keep the grip light; pain is a reason to stop. Tap dust off, do not blow it.
      </p>
    </Section>
  );
}

interface OrderProps {
  bench: BenchState;
  ordering: ReturnType<typeof useOrder>;
  /** The sheet was changed since the order was made. */
  stale: boolean;
}

function PutInOrder({ bench, ordering: { now, order, cancel }, stale }: OrderProps) {
  const { recipes, rates } = useDesk();
  if (recipes.size === 0) return null;
  const isAssumed = bench.plan?.ratesFrom === 0 && rates.learntFrom > 0;
  if (now.state === 'working') return <Progress share={now.share} doing={`${now.doing} …`} onCancel={cancel} />;
  return (
    <>
      {now.state === 'refused' && <Notice kind="refused">{now.sentence}</Notice>}
      {stale && <Notice>The sheet was changed since this order was made. What is done stays done.</Notice>}
      {!stale && isAssumed && (
        <p className="text-sm text-soft">
          The minutes of this order are assumed. {rates.learntFrom} steps were timed since: in a new order they are
          reckoned at your own pace.
        </p>
      )}
      <Button look={bench.plan && !stale ? 'plain' : 'strong'} className="w-full" onClick={() => void order()}>
        {bench.plan ? 'Put what is left in order again' : 'Put the steps in order'}
      </Button>
    </>
  );
}

function PlanFigures({ benchPlan }: { benchPlan: BenchPlan }) {
  const { sheet } = useDesk();
  const inTurn = benchPlan.steps.filter((step, i) => benchPlan.steps[i - 1]?.pencil !== step.pencil).length;
  const { openThings } = sheet.plan.bench;
  const laying = benchPlan.steps.reduce((sum, { minutes }) => sum + minutes, 0);
  // It is counted for each ten minutes that the hand lies there.
  const underHand = laying > 0 ? (10 * benchPlan.smearCm2) / laying : 0;
  return (
    <Section title="What it comes to">
      <dl className="grid grid-cols-2 gap-y-2">
        {[
          ['steps', String(roundsOfPlan(benchPlan).flat().length)],
          ['sittings', String(benchPlan.sittings.length)],
          ['pick-ups', String(benchPlan.pickUps)],
          ['time at the table', about(benchPlan.minutes)],
        ].map(([name, value]) => (
          <div key={name}>
            <dt className="text-sm text-soft">{name}</dt>
            <dd className="font-figure text-lg">{value}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-1 text-[0.95rem]">
        Thing by thing it would take {inTurn} pick-ups; no order can do with fewer than {benchPlan.lowerBound}.{' '}
        <Why of="time at the table">
          {benchPlan.ratesFrom > 0
            ? `Minutes come from area, passes, pressure, stroke and point by your own pace over ${benchPlan.ratesFrom} finished steps. `
            : 'Minutes come from area, passes, pressure, stroke and point by assumed rates: 0.9 min per cm² and pass with a sharp point, 0.45 with a normal one, 0.14 with the side of the lead, and 4 s for each region. They are guesses until eight of your steps are timed. '}
          A pick-up counts {benchPlan.pickUpSeconds.toFixed(0)} s, a sharpening {USUAL_COSTS.sharpenSeconds} s; there
          are {benchPlan.sharpenings} of those on the way. Laying out counts 2 min a sitting, a rest 2 min in every 25,
          and what dries is waited for where nothing else can be done meanwhile.
        </Why>
      </p>
      {underHand >= 1 && (
        <p className="mt-1 text-[0.95rem]">
          On average {underHand.toFixed(0)} cm² of soft work lie under the hand: keep a clean sheet there.
        </p>
      )}
      {openThings !== BY_THE_PAGE && benchPlan.openThings > openLimit(openThings)! && (
        <Notice>
          {benchPlan.openThings} things are open at most, more than the {openThings} wished: the rules of craft leave no
          other way.
        </Notice>
      )}
      {benchPlan.leftOut.length > 0 && <LeftOut leftOut={benchPlan.leftOut} />}
    </Section>
  );
}

/** What of the rules could not be kept, and why. */
function LeftOut({ leftOut }: Pick<BenchPlan, 'leftOut'>) {
  const [all, setAll] = useState(false);
  const names = [...new Set(leftOut.map(({ ruleId }) => ruleById(ruleId).name))];
  return (
    <div className="mt-2">
      <Notice>
        {leftOut.length === 1 ? 'One wish' : `${leftOut.length} wishes`} of {names.join(', ')} could not be kept.{' '}
        <Button look="bare" className="min-h-0! px-0!" aria-expanded={all} onClick={() => setAll(!all)}>
          {all ? 'Hide' : 'Show which'}
        </Button>
      </Notice>
      {all && (
        <ul className="mt-1 list-disc pl-5 text-sm">
          {leftOut.map(({ sentence }) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
