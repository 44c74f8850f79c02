import clsx from 'clsx';
import {
  Clock3,
  Hourglass,
  Pause,
  Pencil,
  Play,
  Camera,
  NotebookPen,
  TriangleAlert,
  Undo2,
  Volume2,
  VolumeX,
} from 'lucide-react';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { BenchPlan, BenchState, LogEntry } from '../../../contracts/index.ts';
import { isRepair, remindersOf } from '../../../core/bench/index.ts';
import { paperById } from '../../../core/laydown/index.ts';
import { deskNow } from '../../desk/derived-desk.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { SheetView } from '../../desk/sheet-view.tsx';
import { useZoneVeil } from '../../desk/use-light-pictures.ts';
import { usePreview } from '../../desk/use-preview.ts';
import { Button, Notice, Progress } from '../../parts/index.ts';
import { usePin } from '../../references/index.ts';
import { pencilJobs } from '../../workers/index.ts';
import { useLaidByDone } from '../../desk/use-laid-by-done.ts';
import { useOrder } from '../use-order.ts';
import { isRestDue, pausedOrNot, rested } from './clock.ts';
import { FittedCard } from './fitted-card.tsx';
import { HowItCameOut } from './how-it-came-out.tsx';
import { MistakeCard } from './mistake.tsx';
import { NoteCard } from './note-card.tsx';
import { laydownInputs } from './laydown-inputs.ts';
import { OtherPencil } from './other-pencil.tsx';
import { StepCard } from './step-card.tsx';
import { stepAloud } from './step-words.ts';
import { TableHeader } from './table-header.tsx';
import { useTableKeys } from './table-keys.ts';
import { useAwake } from './use-awake.ts';
import { useReadingAloud } from './use-reading-aloud.ts';
import { type Pressed, useTable } from './use-table.ts';

interface Props {
  bench: BenchState;
  plan: BenchPlan;
  away: boolean;
  waits: number;
  /** Whether those outlive this tab. */
  isKept: boolean;
  onLeave(): void;
}

type Card = 'mistake' | 'note' | 'other pencil' | null;

/** A sitting: one step fills the screen. Space marks it done, Backspace takes it back, letters do the rest. */
export function AtTheTable({ bench, plan, away, waits, isKept, onLeave }: Props) {
  const desk = useDesk();
  const { sheet } = desk;
  const isAwake = useAwake();
  const table = useTable(bench, plan);
  const { step, next, isAhead, ahead, lastDone, clock, now, change, doneIds, stepOf } = table;
  const [card, setCard] = useState<Card>(null);
  /** What is left of a thing is being fitted to a mistake. */
  const [fit, setFit] = useState<Pick<Parameters<typeof FittedCard>[0], 'of' | 'look'> | null>(null);
  const ordering = useOrder(sheet.id);
  // The preview runs one layer ahead: it shows what this step should leave behind.
  const afterStep = useMemo(
    () => ({ plan, done: step ? [...bench.done, { stepId: step.id } as LogEntry] : bench.done }),
    [plan, bench.done, step],
  );
  const laidAfter = useLaidByDone(afterStep);
  const laidNow = useLaidByDone(bench);
  // Fine enough to be looked at closely, once somebody does: steps that go by quickly need not be.
  const preview = usePreview(laidAfter, useIsLookedAt(step?.id));
  const veil = useZoneVeil(step);
  const regionIds = useMemo(() => step?.regionIds ?? [], [step]);
  const reminders = useMemo(() => remindersOf(plan.order.map((id) => stepOf.get(id)!)), [plan, stepOf]);
  const aloud = useReadingAloud(useAloud(plan, step, reminders));
  const photo = useRef<HTMLInputElement>(null);
  const { pinFile } = usePin(sheet.id, step?.thingId ?? null);
  const pause = useCallback(() => change(pausedOrNot), [change]);
  const { markDone, takeBack, putOff, partDone, lookBy } = table;
  const { toggle } = aloud;
  const keys = useMemo(
    () => ({
      Space: (press: Pressed) => markDone(press),
      Backspace: takeBack,
      ArrowRight: () => lookBy(1),
      ArrowLeft: () => lookBy(-1),
      l: putOff,
      h: partDone,
      o: () => setCard('other pencil'),
      m: () => setCard('mistake'),
      n: () => setCard('note'),
      f: () => photo.current?.click(),
      p: pause,
      r: toggle,
    }),
    [markDone, takeBack, lookBy, putOff, partDone, pause, toggle],
  );
  useTableKeys(keys);
  const replan = () => void ordering.order();
  const last = lastDone && firstLayerOf(bench, lastDone, plan);

  if (!step) return <AllDone onLeave={onLeave} />;
  const nameOf = (id: string) => plan.things.find((thing) => thing.id === id)?.name ?? '';
  const isPaused = clock.pausedAt !== null;
  return (
    <div className="flex h-dvh flex-col">
      <TableHeader
        number={plan.order.length - ahead.length + 1}
        of={plan.order.length}
        clock={clock}
        now={now}
        away={away}
        waits={waits}
        isKept={isKept}
        onLeave={onLeave}
        stepMinutes={step.minutes}
        sittingMinutes={sheet.plan.bench.sittingMinutes}
      />
      <main className="grid min-h-0 flex-1 grid-rows-[26dvh_minmax(0,1fr)_auto] md:grid-cols-[minmax(0,1fr)_minmax(23rem,27rem)] md:grid-rows-[minmax(0,1fr)_auto]">
        <div className="min-h-0">
          <SheetView
            predicted={preview}
            veil={veil}
            selected={regionIds}
            paperTint={paperById(sheet.plan.page.paper).tint}
            fitRegions={regionIds}
            fitKey={step.id}
          />
        </div>
        <section aria-live="polite" className="flex min-h-0 flex-col bg-card md:row-span-2" data-testid="step">
          <div
            className="min-h-0 flex-1 overflow-y-auto px-7 pt-4 max-md:px-4 max-md:pt-3"
            tabIndex={0}
            role="group"
            aria-label="Step"
          >
            {ordering.now.state === 'working' && (
              <Progress share={ordering.now.share} doing={`${ordering.now.doing} …`} onCancel={ordering.cancel} />
            )}
            {isPaused && <Notice title="Paused.">The time stands still. Press P, or Done, to go on.</Notice>}
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
            {last && !isAhead && (
              <HowItCameOut
                key={last.entry.stepId}
                last={{ ...last, thing: nameOf(last.thingId), laid: Math.max(1, laidNow[last.thingId] ?? 1) }}
                onSaid={(cameOut) => table.sayHow(last.entry, cameOut)}
                onChanged={replan}
              />
            )}
            <StepCard
              plan={plan}
              step={step}
              next={next}
              now={now}
              reminders={reminders.get(step.id) ?? []}
              dryAt={driesUntil(step, bench, stepOf)}
            />
          </div>
          <div className="shrink-0 px-7 pt-2 pb-3 max-md:px-4 max-md:pb-1.5">
            <div className="flex gap-2">
              <Button
                look="strong"
                large
                className={clsx('flex-1', table.isTaken && 'opacity-60')}
                aria-busy={table.isTaken || undefined}
                onClick={(press) => markDone(press)}
                aria-keyshortcuts="Space"
              >
                Done
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
        <div className="flex gap-1.5 overflow-x-auto bg-card px-4 pb-3 *:flex-1 *:max-md:min-w-20 *:max-md:shrink-0 md:col-start-1 md:row-start-2 md:py-2">
          <Small of="Later" letter="L" icon={<Clock3 size={17} />} onClick={putOff} />
          <Small of="Half done" letter="H" icon={<Hourglass size={17} />} onClick={partDone} />
          <Small
            of={isPaused ? 'Go on' : 'Pause'}
            letter="P"
            icon={isPaused ? <Play size={17} /> : <Pause size={17} />}
            onClick={pause}
          />
          <Small of="Other pencil" letter="O" icon={<Pencil size={17} />} onClick={() => setCard('other pencil')} />
          <Small of="Mistake" letter="M" icon={<TriangleAlert size={17} />} onClick={() => setCard('mistake')} />
          <Small of="Note" letter="N" icon={<NotebookPen size={17} />} onClick={() => setCard('note')} />
          <Small of="Photo" letter="F" icon={<Camera size={17} />} onClick={() => photo.current?.click()} />
          <Small
            of={aloud.on ? 'Be quiet' : 'Read aloud'}
            letter="R"
            icon={aloud.on ? <VolumeX size={17} /> : <Volume2 size={17} />}
            onClick={aloud.canRead ? toggle : () => toast('This browser has no voice to read with.')}
          />
        </div>
      </main>
      <input
        ref={photo}
        type="file"
        accept="image/*"
        capture="environment"
        className="hidden"
        aria-label="Photo of the page"
        onChange={({ target }) => {
          const [file] = target.files ?? [];
          target.value = '';
          if (file) void pinFile(file).then((pinned) => pinned && toast(`Pinned to ${nameOf(step.thingId)}.`));
        }}
      />
      {card === 'note' && <NoteCard onClose={() => setCard(null)} />}
      {card === 'mistake' && (
        <MistakeCard
          plan={plan}
          step={step}
          laid={laidNow}
          onRepair={replan}
          onFit={(of, look) => setFit({ of, look })}
          onClose={() => setCard(null)}
        />
      )}
      {fit && <FittedCard {...fit} teaches={false} onChanged={replan} onClose={() => setFit(null)} />}
      {card === 'other pencil' && (
        <OtherPencil
          pencilId={step.pencil}
          thingId={step.thingId}
          thing={nameOf(step.thingId)}
          onUsed={markDone}
          onReplaced={() => {
            replan();
            void lookOver(sheet.id, step.thingId, nameOf(step.thingId));
          }}
          onClose={() => setCard(null)}
        />
      )}
    </div>
  );
}

/** A step is looked at closely once it has been up for so long, ms. */
const LOOKED_AT_MS = 1200;

function useIsLookedAt(stepId: string | undefined): boolean {
  const [looked, setLooked] = useState<string | undefined>(undefined);
  useEffect(() => {
    const timer = setTimeout(() => setLooked(stepId), LOOKED_AT_MS);
    return () => clearTimeout(timer);
  }, [stepId]);
  return looked === stepId;
}

function AllDone({ onLeave }: { onLeave(): void }) {
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

interface SmallProps {
  of: string;
  letter: string;
  icon: React.ReactNode;
  onClick(press: Pressed): void;
}

function Small({ of, letter, icon, onClick }: SmallProps) {
  return (
    <button
      type="button"
      aria-keyshortcuts={letter}
      title={`${of} (${letter})`}
      onClick={(event) => {
        onClick(event);
        // The keys go back to the step: Space is Done again.
        event.currentTarget.blur();
      }}
      className="flex min-h-11 flex-col items-center justify-center border border-edge bg-leaf px-1 text-sm leading-tight hover:border-ink"
    >
      {icon}
      {of}
    </button>
  );
}

/** The step that was done last, where it is all that this order has laid of its thing so far. */
function firstLayerOf(bench: BenchState, entry: LogEntry, plan: BenchPlan) {
  const step = plan.steps.find(({ id }) => id === entry.stepId);
  if (!step || step.tool || isRepair(step)) return null;
  const doneIds = new Set(bench.done.map(({ stepId }) => stepId));
  const own = plan.steps.filter(({ thingId }) => thingId === step.thingId);
  const layers = new Set(own.filter((each) => doneIds.has(each.id) && !isRepair(each)).map(({ layerId }) => layerId));
  const earlier = bench.finished.some(
    (layer) => layer.thingId === step.thingId && layer.layerId !== step.layerId && !isRepair(layer),
  );
  const isLeft = own.some(({ id }) => !doneIds.has(id));
  if (layers.size !== 1 || earlier || !isLeft) return null;
  const { code } = plan.pencils.find(({ id }) => id === step.pencil) ?? { code: '' };
  return { entry, thingId: step.thingId, code };
}

/** When all that a step goes over is dry, ms of the wall clock; null where nothing was wetted. */
function driesUntil(
  { after }: BenchPlan['steps'][number],
  { done }: BenchState,
  stepOf: ReadonlyMap<string, BenchPlan['steps'][number]>,
): number | null {
  const finished = new Map(done.map(({ stepId, finishedAt }) => [stepId, Date.parse(finishedAt)]));
  const until = after.flatMap((id) => {
    const dry = stepOf.get(id)?.dryMinutes;
    const at = finished.get(id);
    return dry && at !== undefined ? [at + dry * 60_000] : [];
  });
  return until.length > 0 ? Math.max(...until) : null;
}

function useAloud(
  plan: BenchPlan,
  step: BenchPlan['steps'][number] | undefined,
  reminders: ReturnType<typeof remindersOf>,
): string {
  return useMemo(() => {
    const pencil = step && plan.pencils.find(({ id }) => id === step.pencil);
    if (!step || !pencil) return '';
    const thing = plan.things.find(({ id }) => id === step.thingId)?.name ?? '';
    return stepAloud(step, pencil, thing, reminders.get(step.id) ?? []);
  }, [plan, step, reminders]);
}

/** Looks a thing's recipe over again once it was changed, and says what there is to say. */
async function lookOver(sheetId: string, thingId: string, thing: string): Promise<void> {
  const desk = deskNow(sheetId);
  const recipe = desk?.recipes.get(thingId);
  if (!desk || !recipe) return;
  const regions = (desk.sheet.plan.things[thingId]?.regionIds ?? []).flatMap((id) => desk.page?.regions[id - 1] ?? []);
  const on = laydownInputs(desk, thingId, recipe);
  const input = { recipe, before: null, regions, ...on, beside: {}, width: 8, height: 8 };
  const outcome = await pencilJobs.start('checkRecipe', input).outcome;
  if (outcome.kind !== 'done') return;
  const [first] = outcome.value.findings;
  toast(
    first
      ? `${thing}, looked over again: ${first.sentence}`
      : `${thing}, looked over again: nothing speaks against it.`,
  );
}
