import clsx from 'clsx';
import type { BenchPlan } from '../../../contracts/index.ts';
import { type Reminder, handWords, inHand, isRepair, whereOf } from '../../../core/bench/index.ts';
import { cautionsOf } from '../../../core/recipe/index.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { BeliefMark, Laydown, PointMark, PressureMark, StrokeMark, ZoneBar } from '../../parts/index.ts';
import { PinnedBeside } from '../../references/index.ts';
import { about, heldFor } from '../../../order/index.ts';
import { REMINDER_WORDS, placeOnPage } from './step-words.ts';
import { thingsOf } from '../../../plan/index.ts';

type PlanStep = BenchPlan['steps'][number];

interface Props {
  benchPlan: BenchPlan;
  step: PlanStep;
  next: PlanStep | undefined;
  reminders: readonly Reminder[];
  /** When what this step goes over is dry, ms of the wall clock; null where nothing is wet. */
  dryAt: number | null;
  now: number;
}

/** One step, to be read from an arm's length. */
export function StepCard({ benchPlan, step, next, reminders, dryAt, now }: Props) {
  const { sheet, pencilById, paperModel } = useDesk();
  const nameOf = (id: string) => benchPlan.things.find((thing) => thing.id === id)?.name ?? '';
  const held = heldFor(step, benchPlan.pencils);
  const present = pencilById.get(step.pencil);
  const place = placeOnPage(step, sheet.plan.page);
  const cautions = cautionsOf(step, present?.type ?? '');
  return (
    <>
      <div className="flex items-center gap-4">
        <div className="bg-ground p-2">
          {held.isTool ? (
            <span aria-hidden className="block h-21 w-30 border border-edge" style={{ background: held.colour }} />
          ) : (
            present && <Laydown pencil={present} paperModel={paperModel} width={120} height={84} />
          )}
        </div>
        <div>
          <div
            className={clsx('leading-none font-bold', held.isTool ? 'text-3xl' : 'font-figure text-6xl')}
            data-testid="step-code"
          >
            {held.code}
          </div>
          <div className="mt-1.5 flex items-center gap-2 text-lg">
            {held.isTool ? '' : held.name}{' '}
            {present && !held.isTool && <BeliefMark belief={paperModel.beliefIn(present)} />}
          </div>
        </div>
      </div>
      <h1 className="mt-3 text-3xl">{nameOf(step.thingId)}</h1>
      <p className="mt-0.5 text-lg">
        {step.regionIds.length === 1 ? '1 region' : `${step.regionIds.length} regions`}
        {place && `, ${place}`}; {whereOf(step)}
      </p>
      {!isRepair(step) && (
        <div className="mt-2">
          <ZoneBar zone={step.zone} />
        </div>
      )}
      <dl className="mt-3 grid grid-cols-3 gap-2">
        <Fact name="pressure" value={step.pressure} mark={<PressureMark pressure={step.pressure} size={84} />} />
        <Fact name="stroke" value={step.stroke} mark={<StrokeMark stroke={step.stroke} size={76} />} />
        {!held.isTool && <Fact name="point" value={step.point} mark={<PointMark point={step.point} size={76} />} />}
      </dl>
      {dryAt !== null && dryAt > now && (
        <p className="hatched-edge mt-3 bg-leaf px-3 py-2" role="status">
          What lies there dries for another {about((dryAt - now) / 60_000)}.
        </p>
      )}
      {reminders.map((reminder) => (
        <p key={reminder} className="mt-2 border-l-4 border-ink bg-leaf px-3 py-1.5 font-semibold">
          {REMINDER_WORDS[reminder]}
        </p>
      ))}
      <p className="mt-3 border-t border-rule pt-3 text-xl leading-snug">{step.purpose}</p>
      <p className="mt-1 text-soft">
        {handWords(step)}
        {handWords(step) && ' '}
        {step.dryMinutes ? `Then it dries ${step.dryMinutes} min. ` : ''}
        {step.passes === 1 ? 'Go over it once' : `Go over it ${step.passes} times`}, {about(step.minutes)}.
      </p>
      <p className="mt-2 border-t border-rule pt-2 text-[1.05rem]">
        {!next && 'This is the last step.'}
        {next &&
          inHand(next) === inHand(step) &&
          `Next, with the same in hand: ${nameOf(next.thingId)}, ${next.pressure}.`}
        {next && inHand(next) !== inHand(step) && (
          <>
            Next: <strong className="font-figure">{heldFor(next, benchPlan.pencils).code}</strong> for{' '}
            {nameOf(next.thingId)}.
          </>
        )}
      </p>
      {cautions.map((caution) => (
        <p key={caution} className="mt-1 text-[0.95rem] text-soft">
          {caution}
        </p>
      ))}
      <PinnedBeside sheetId={sheet.id} thingId={step.thingId} things={thingsOf(sheet.plan)} />
    </>
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
