import clsx from 'clsx';
import type { BenchPlan } from '../../../contracts/index.ts';
import { type Reminder, type Round, handWords, inHand, isRepair } from '../../../core/bench/index.ts';
import { cautionsOf } from '../../../core/recipe/index.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { BeliefMark, Laydown, PointMark, PressureMark, StrokeMark, ZoneBar } from '../../parts/index.ts';
import { PinnedBeside } from '../../references/index.ts';
import {
  type ToldAlike,
  about,
  heldFor,
  namesOf,
  shapesInWords,
  timesInWords,
  toldAlike,
} from '../../../order/index.ts';
import { Shapes } from './shapes.tsx';
import { REMINDER_WORDS, placeOnPage } from './step-words.ts';
import { type useTable } from './use-table.ts';
import { thingsOf } from '../../../plan/index.ts';

interface Props {
  benchPlan: BenchPlan;
  table: Pick<ReturnType<typeof useTable>, 'shapes' | 'choose' | 'chooseAll' | 'next'>;
  round: Round;
  reminders: readonly Reminder[];
  /** When what this step goes over is dry, ms of the wall clock; null where nothing is wet. */
  dryAt: number | null;
  now: number;
}

/** One step, to be read from an arm's length. */
export function StepCard({ benchPlan, table, round, reminders, dryAt, now }: Props) {
  const { sheet, pencilById, paperModel } = useDesk();
  const { next } = table;
  const step = round.steps[0]!;
  const held = heldFor(step, benchPlan.pencils);
  const present = pencilById.get(step.pencil);
  const place = placeOnPage(round.steps, sheet.plan.page);
  const cautions = cautionsOf(step, present?.type ?? '');
  const groups = toldAlike(round);
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
      <h1 className="mt-3 text-3xl wrap-break-word">{namesOf(round.steps, benchPlan.things)}</h1>
      <p className="mt-0.5 text-lg">
        {shapesInWords(round.steps)}
        {place && `, ${place}`}
        {groups.length === 1 && `; ${groups[0]!.where}`}
      </p>
      {groups.length === 1 && !isRepair(step) && (
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
      {groups.map((group) => (
        <Told key={group.steps[0]!.id} group={group} isOneOfMany={groups.length > 1} things={benchPlan.things} />
      ))}
      <p className="mt-1 text-soft">
        {handWords(step)}
        {handWords(step) && ' '}
        In all {about(round.minutes)}.
      </p>
      {round.steps.length > 1 && <Shapes table={table} round={round} things={benchPlan.things} />}
      <p className="mt-2 border-t border-rule pt-2 text-[1.05rem]">
        <Next next={next} round={round} benchPlan={benchPlan} />
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

/** What is told of some shapes of a step. */
function Told({
  group: { steps, where, passes, purpose, dryMinutes },
  isOneOfMany,
  things,
}: {
  group: ToldAlike;
  isOneOfMany: boolean;
  things: BenchPlan['things'];
}) {
  return (
    <div className="mt-3 border-t border-rule pt-3">
      {isOneOfMany && (
        <p className="text-[1.05rem]">
          <strong>{namesOf(steps, things)}</strong>, {where}
        </p>
      )}
      <p className={isOneOfMany ? 'leading-snug' : 'text-xl leading-snug'}>{purpose}</p>
      <p className="text-soft">
        Go over {steps.length > 1 ? 'each' : 'it'} {timesInWords(passes)}.
        {dryMinutes ? ` Then it dries ${dryMinutes} min.` : ''}
      </p>
    </div>
  );
}

function Next({ next, round, benchPlan }: { next: Round | undefined; round: Round; benchPlan: BenchPlan }) {
  if (!next) return 'This is the last step.';
  const [step, after] = [round.steps[0]!, next.steps[0]!];
  const names = namesOf(next.steps, benchPlan.things);
  if (inHand(after) === inHand(step)) return `Next, with the same in hand: ${names}, ${after.pressure}.`;
  return (
    <>
      Next: <strong className="font-figure">{heldFor(after, benchPlan.pencils).code}</strong> for {names}.
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
