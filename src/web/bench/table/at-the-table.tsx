import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { BenchPlan, BenchState, LogEntry } from '../../../contracts/index.ts';
import { type Round, remindersOf } from '../../../core/bench/index.ts';
import { paperById } from '../../../core/laydown/index.ts';
import { useDesk } from '../../desk/desk-context.ts';
import { SheetView } from '../../desk/sheet-view.tsx';
import { useLaidByDone } from '../../desk/use-laid-by-done.ts';
import { useZoneVeil } from '../../desk/use-light-pictures.ts';
import { usePreview } from '../../desk/use-preview.ts';
import { Button } from '../../parts/index.ts';
import { usePin } from '../../references/index.ts';
import { useOrder } from '../use-order.ts';
import { pausedOrNot } from './clock.ts';
import { StepPanel, remindersFor } from './step-panel.tsx';
import { stepAloud } from './step-words.ts';
import { TableCards } from './table-cards.tsx';
import { TableHeader } from './table-header.tsx';
import { useTableKeys } from './table-keys.ts';
import { type Card, TableTools } from './table-tools.tsx';
import { useAwake } from './use-awake.ts';
import { useReadingAloud } from './use-reading-aloud.ts';
import { type Pressed, useTable } from './use-table.ts';

interface Props {
  bench: BenchState;
  benchPlan: BenchPlan;
  away: boolean;
  waits: number;
  /** Whether those outlive this tab. */
  isKept: boolean;
  onLeave(): void;
}

/** A sitting: one step fills the screen. Space marks it done, Backspace takes it back, letters do the rest. */
export function AtTheTable({ bench, benchPlan, away, waits, isKept, onLeave }: Props) {
  const { sheet } = useDesk();
  const isAwake = useAwake();
  const table = useTable(bench, benchPlan);
  const { round, meant, clock, now, change, stepOf, markDone, takeBack, putOff, partDone, lookBy } = table;
  const [card, setCard] = useState<Card | null>(null);
  const ordering = useOrder(sheet.id);
  // The preview runs one layer ahead: it shows what this step should leave behind.
  const afterStep = useMemo(
    () => ({
      plan: benchPlan,
      done: [...bench.done, ...(round?.steps ?? []).map(({ id }) => ({ stepId: id }) as LogEntry)],
    }),
    [benchPlan, bench.done, round],
  );
  const laidAfter = useLaidByDone(afterStep);
  const laidNow = useLaidByDone(bench);
  // Fine enough to be looked at closely, once somebody does: steps that go by quickly need not be.
  const preview = usePreview(laidAfter, useIsLookedAt(round?.id));
  const veil = useZoneVeil(round?.steps);
  const regionIds = useMemo(() => meant.flatMap((step) => step.regionIds), [meant]);
  const reminders = useMemo(() => remindersOf(benchPlan.order.map((id) => stepOf.get(id)!)), [benchPlan, stepOf]);
  const { on: isReadAloud, canRead, toggle } = useReadingAloud(useAloud(benchPlan, round, reminders));
  const photo = useRef<HTMLInputElement>(null);
  const takePhoto = useCallback(() => photo.current?.click(), []);
  const pause = useCallback(() => change(pausedOrNot), [change]);
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
      f: takePhoto,
      p: pause,
      r: toggle,
    }),
    [markDone, takeBack, lookBy, putOff, partDone, takePhoto, pause, toggle],
  );
  useTableKeys(keys);
  const replan = () => void ordering.order();

  if (!round) return <AllDone onLeave={onLeave} />;
  return (
    <div className="flex h-dvh flex-col">
      <TableHeader
        number={table.number}
        of={table.of}
        clock={clock}
        now={now}
        away={away}
        waits={waits}
        isKept={isKept}
        onLeave={onLeave}
        stepMinutes={round.minutes}
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
            fitKey={`${round.id} ${[...table.shapes].join(' ')}`}
            onPick={(regionId) => {
              const picked = round.steps.find(({ regionIds: own }) => regionId !== null && own.includes(regionId));
              if (picked && round.steps.length > 1) table.choose(picked.id);
            }}
          />
        </div>
        <StepPanel
          bench={bench}
          benchPlan={benchPlan}
          table={table}
          round={round}
          reminders={reminders}
          laid={laidNow}
          isAwake={isAwake}
          ordering={ordering}
          onChanged={replan}
        />
        <TableTools
          isPaused={clock.pausedAt !== null}
          isReadAloud={isReadAloud}
          onLater={putOff}
          onHalfDone={partDone}
          onPause={pause}
          onCard={setCard}
          onPhoto={takePhoto}
          onReadAloud={canRead ? toggle : () => toast('This browser has no voice to read with.')}
        />
      </main>
      <PhotoOf ref={photo} thingId={meant[0]!.thingId} benchPlan={benchPlan} />
      <TableCards
        card={card}
        benchPlan={benchPlan}
        steps={meant}
        laid={laidNow}
        onUsed={markDone}
        onChanged={replan}
        onClose={() => setCard(null)}
      />
    </div>
  );
}

/** Takes a photo with the device's own camera and pins it to a thing. */
function PhotoOf({
  ref,
  thingId,
  benchPlan,
}: {
  ref: React.Ref<HTMLInputElement>;
  thingId: string;
  benchPlan: BenchPlan;
}) {
  const { sheet } = useDesk();
  const { pinFile } = usePin(sheet.id, thingId);
  const name = benchPlan.things.find(({ id }) => id === thingId)?.name ?? '';
  return (
    <input
      ref={ref}
      type="file"
      accept="image/*"
      capture="environment"
      className="hidden"
      aria-label="Photo of the page"
      onChange={({ target }) => {
        const [file] = target.files ?? [];
        target.value = '';
        if (file) void pinFile(file).then((pinned) => pinned && toast(`Pinned to ${name}.`));
      }}
    />
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

function useAloud(benchPlan: BenchPlan, round: Round | undefined, reminders: ReturnType<typeof remindersOf>): string {
  return useMemo(() => {
    const pencil = benchPlan.pencils.find(({ id }) => id === round?.steps[0]?.pencil);
    if (!round || !pencil) return '';
    return stepAloud(round, pencil, benchPlan.things, remindersFor(round, reminders));
  }, [benchPlan, round, reminders]);
}
