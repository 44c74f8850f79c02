import clsx from 'clsx';
import { Undo2 } from 'lucide-react';
import type { BenchPlan, BenchState, LogEntry } from '../../../contracts/index.ts';
import { type Reminder, type Round, isRepair, type remindersOf } from '../../../core/bench/index.ts';
import { Button, Notice, Progress } from '../../parts/index.ts';
import { type useOrder } from '../use-order.ts';
import { isRestDue, rested } from './clock.ts';
import { HowItCameOut } from './how-it-came-out.tsx';
import { StepCard } from './step-card.tsx';
import { type useTable } from './use-table.ts';

interface Props {
  bench: BenchState;
  benchPlan: BenchPlan;
  table: ReturnType<typeof useTable>;
  round: Round;
  reminders: ReturnType<typeof remindersOf>;
  /** How many layers of each thing lie now, by thing id. */
  laid: Readonly<Record<string, number>>;
  isAwake: boolean | null;
  ordering: Pick<ReturnType<typeof useOrder>, 'now' | 'cancel'>;
  /** What is left was changed: it is to be put in order again. */
  onChanged(): void;
}

/** The step that is up, what there is to say of it and of the sitting, and the two buttons that go on and back. */
export function StepPanel({ bench, benchPlan, table, round, reminders, laid, isAwake, ordering, onChanged }: Props) {
  const { isAhead, lastDone, shapes, clock, now, change, doneIds, stepOf, markDone, takeBack, taken } = table;
  const last = !isAhead && firstLayersOf(bench, lastDone, benchPlan);
  const nameOf = (id: string) => benchPlan.things.find((thing) => thing.id === id)?.name ?? '';
  return (
    <section
      aria-live="polite"
      className="flex min-h-0 flex-col bg-card md:row-span-2"
      data-testid="step"
      data-taken={taken ?? undefined}
    >
      <div
        className="min-h-0 flex-1 overflow-y-auto px-7 pt-4 max-md:px-4 max-md:pt-3"
        tabIndex={0}
        role="group"
        aria-label="Step"
      >
        {ordering.now.state === 'working' && (
          <Progress share={ordering.now.share} doing={`${ordering.now.doing} …`} onCancel={ordering.cancel} />
        )}
        {clock.pausedAt !== null && <Notice title="Paused.">The time stands still. Press P, or Done, to go on.</Notice>}
        {isRestDue(clock, now) && (
          <Notice title="Rest the hand.">
            You have worked for 25 minutes: put the pencil down for two, look into the distance, shake the hand out.
            Pain is a reason to stop.{' '}
            <Button look="bare" className="min-h-8! px-0!" onClick={() => change(rested)}>
              I have rested
            </Button>
          </Notice>
        )}
        {isAhead && <Notice title="Looking ahead.">This step comes later. The left arrow goes back.</Notice>}
        {isAwake === false && (
          <p className="mb-2 text-sm text-soft">
            This browser cannot keep the screen awake: let it sleep later in the settings of the device.
          </p>
        )}
        {last && (
          <HowItCameOut
            key={last.entries[0]!.stepId}
            last={{ ...last, thing: nameOf(last.thingId), laid: Math.max(1, laid[last.thingId] ?? 1) }}
            onSaid={(cameOut) => table.sayHow(last.entries, cameOut)}
            onChanged={onChanged}
          />
        )}
        <StepCard
          benchPlan={benchPlan}
          table={table}
          round={round}
          now={now}
          reminders={remindersFor(round, reminders)}
          dryAt={driesUntil(round, bench, stepOf)}
        />
      </div>
      <div className="shrink-0 px-7 pt-2 pb-3 max-md:px-4 max-md:pb-1.5">
        <div className="flex gap-2">
          <Button
            look="strong"
            large
            className={clsx('flex-1', taken === 'done' && 'opacity-60')}
            aria-busy={taken === 'done' || undefined}
            onClick={(press) => markDone(press)}
            aria-keyshortcuts="Space"
          >
            {shapes.size > 0 && shapes.size < round.steps.length
              ? `Done: ${shapes.size} of ${round.steps.length}`
              : 'Done'}
          </Button>
          <Button
            large
            className="w-20"
            onClick={takeBack}
            disabled={doneIds.size === 0}
            aria-label="Take the last step back"
            aria-keyshortcuts="Backspace"
            title="Take the last step back (Backspace)"
          >
            <Undo2 />
          </Button>
        </div>
      </div>
    </section>
  );
}

/** What to do about the point for a step, over all of its shapes. */
export function remindersFor({ steps }: Round, reminders: ReturnType<typeof remindersOf>): Reminder[] {
  return [...new Set(steps.flatMap(({ id }) => reminders.get(id) ?? []))];
}

/** What was done last, where it is all that this order has laid of its things so far; told by the last of them. */
function firstLayersOf(bench: BenchState, lastDone: readonly LogEntry[], benchPlan: BenchPlan) {
  const entries = lastDone.filter((entry) => isFirstLayer(bench, entry, benchPlan));
  const step = benchPlan.steps.find(({ id }) => id === entries.at(-1)?.stepId);
  if (!step) return null;
  const { code } = benchPlan.pencils.find(({ id }) => id === step.pencil) ?? { code: '' };
  return { entries, thingId: step.thingId, code };
}

function isFirstLayer(bench: BenchState, { stepId }: LogEntry, benchPlan: BenchPlan): boolean {
  const step = benchPlan.steps.find(({ id }) => id === stepId);
  if (!step || step.tool || isRepair(step)) return false;
  const doneIds = new Set(bench.done.map((entry) => entry.stepId));
  const own = benchPlan.steps.filter(({ thingId }) => thingId === step.thingId);
  const layers = new Set(own.filter((each) => doneIds.has(each.id) && !isRepair(each)).map(({ layerId }) => layerId));
  const earlier = bench.finished.some(
    (layer) => layer.thingId === step.thingId && layer.layerId !== step.layerId && !isRepair(layer),
  );
  const isLeft = own.some(({ id }) => !doneIds.has(id));
  return layers.size === 1 && !earlier && isLeft;
}

/** When all that a step goes over is dry, ms of the wall clock; null where nothing was wetted. */
function driesUntil(
  { steps }: Round,
  { done }: BenchState,
  stepOf: ReadonlyMap<string, BenchPlan['steps'][number]>,
): number | null {
  const finished = new Map(done.map(({ stepId, finishedAt }) => [stepId, Date.parse(finishedAt)]));
  const until = steps
    .flatMap(({ after }) => after)
    .flatMap((id) => {
      const dry = stepOf.get(id)?.dryMinutes;
      const at = finished.get(id);
      return dry && at !== undefined ? [at + dry * 60_000] : [];
    });
  return until.length > 0 ? Math.max(...until) : null;
}
