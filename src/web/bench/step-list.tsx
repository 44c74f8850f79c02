import {
  DndContext,
  DragOverlay,
  type DragEndEvent,
  type DragOverEvent,
  PointerSensor,
  pointerWithin,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import clsx from 'clsx';
import { GripVertical } from 'lucide-react';
import { nanoid } from 'nanoid';
import { Fragment, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { BenchPlan, BenchState } from '../../contracts/index.ts';
import {
  type Round,
  type Sitting,
  costsAt,
  inHand,
  layOutFor,
  movedTo,
  validateSequence,
  withWhatGoesAlong,
} from '../../core/bench/index.ts';
import { about, benchPlanWithSittings, heldFor, roundsOfPlan, thingsInWords, whyOffWish } from '../../order/index.ts';
import { useStoreBenchMutation } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, PressureMark } from '../parts/index.ts';
import { dayInWords, faultInWords, sittingDays, toolNames } from './sitting-words.ts';

/** A step of a sitting as it is moved to another one, by the id of its round. */
interface Piece {
  sitting: number;
  roundId: string;
}
const keyOf = ({ sitting, roundId }: Piece) => `${sitting} ${roundId}`;

/**
 * Every step in order, sitting by sitting, with what to lay out. A step can be moved to another sitting; what waits for it
 * goes along.
 */
export function StepList({ bench, benchPlan }: { bench: BenchState; benchPlan: BenchPlan }) {
  const { sheet } = useDesk();
  const [chosen, setChosen] = useState<Piece | null>(null);
  const [dragged, setDragged] = useState(false);
  const [over, setOver] = useState<number | null>(null);
  const doneIds = useMemo(() => new Set(bench.done.map(({ stepId }) => stepId)), [bench.done]);
  const days = useMemo(() => sittingDays(benchPlan, doneIds, sheet.plan.bench), [benchPlan, doneIds, sheet.plan.bench]);
  const rounds = useMemo(() => roundsOfPlan(benchPlan), [benchPlan]);
  const nameOf = useMemo(() => new Map(benchPlan.things.map(({ id, name }) => [id, name])), [benchPlan]);
  const [store] = useStoreBenchMutation();
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  /** The sittings with a piece in another one, and why that cannot be worked by. */
  const tried = (piece: Piece, to: number) => {
    const own = rounds[piece.sitting]?.find(({ id }) => id === piece.roundId)?.steps ?? [];
    const moving = own.filter(({ id }) => !doneIds.has(id)).map(({ id }) => id);
    const ids = withWhatGoesAlong(benchPlan.steps, benchPlan.sittings, moving, to).filter((id) => !doneIds.has(id));
    const sittings = movedTo(benchPlan.steps, benchPlan.sittings, ids, to, costsAt(benchPlan));
    const order = sittings.flatMap(({ steps }) => steps);
    const [fault] = validateSequence(benchPlan.steps, order, benchPlan.openThings, benchPlan.alike);
    return { sittings, fault: fault && faultInWords(fault, benchPlan) };
  };
  const put = async (sittings: readonly Sitting[]) => {
    const { error } = await store({
      sheetId: sheet.id,
      plan: benchPlanWithSittings(nanoid(), benchPlan, sittings, doneIds),
    });
    if (error) toast.error(sentenceOf(error));
    return !error;
  };
  const offWish = (at: number) =>
    whyOffWish(
      rounds,
      benchPlan.sittings.map(({ minutes }) => minutes),
      at,
      benchPlan.madeFor?.sittingMinutes ?? sheet.plan.bench.sittingMinutes,
      (round) => namesIn(round, nameOf),
    );
  const letGo = () => {
    setChosen(null);
    setDragged(false);
    setOver(null);
  };
  const move = async (piece: Piece, to: number) => {
    setChosen(null);
    if (piece.sitting === to) return;
    const { sittings, fault } = tried(piece, to);
    if (fault) return void toast.error(`It cannot go there: ${fault}`);
    if (await put(sittings)) {
      toast('Moved to another sitting.', { action: { label: 'Undo', onClick: () => void put(benchPlan.sittings) } });
    }
  };
  const pieceOf = (id: unknown): Piece => {
    const [sitting = '', roundId = ''] = String(id).split(' ');
    return { sitting: Number(sitting), roundId };
  };
  const aim = over !== null && chosen && over !== chosen.sitting ? tried(chosen, over) : null;
  return (
    <section
      aria-label="Steps in order"
      className="w-84 shrink-0 overflow-y-auto border-l border-rule bg-leaf px-4 py-3 max-md:h-1/2 max-md:w-full max-md:border-t max-md:border-l-0"
      tabIndex={0}
      onKeyDown={amongGrips}
    >
      <DndContext
        sensors={sensors}
        collisionDetection={pointerWithin}
        onDragStart={({ active }) => {
          setChosen(pieceOf(active.id));
          setDragged(true);
        }}
        onDragOver={({ over: on }: DragOverEvent) => setOver(on ? Number(on.id) : null)}
        onDragCancel={letGo}
        onDragEnd={({ active, over: on }: DragEndEvent) => {
          letGo();
          if (on) void move(pieceOf(active.id), Number(on.id));
        }}
      >
        {[...benchPlan.sittings, null].map((sitting, i) => (
          <SittingBox
            key={sitting?.steps[0] ?? 'another'}
            number={i}
            isNew={sitting === null}
            fault={over === i && aim ? (aim.fault ?? '') : null}
          >
            <h2 className="flex items-baseline justify-between text-[1.05rem]">
              {sitting ? `Sitting ${i + 1}` : <span className="text-sm font-normal text-soft">another sitting</span>}
              {sitting && (
                <span className="font-body text-sm font-normal text-soft">
                  {days[i] ? `${dayInWords(days[i])}, ` : ''}
                  {about(sitting.minutes)}
                </span>
              )}
            </h2>
            {chosen && chosen.sitting !== i && !dragged && (
              <Button look="plain" className="my-1 w-full" onClick={() => void move(chosen, i)}>
                {sitting ? `Move it to sitting ${i + 1}` : 'Move it to another sitting'}
              </Button>
            )}
            {sitting && <LayOut benchPlan={benchPlan} sitting={i} doneIds={doneIds} />}
            {sitting && offWish(i) && <p className="hatched-edge mb-1 px-2 text-sm leading-snug">{offWish(i)}</p>}
            {sitting && (
              <Steps
                benchPlan={benchPlan}
                rounds={rounds[i]!}
                nameOf={nameOf}
                doneIds={doneIds}
                number={i}
                chosen={chosen}
                onChoose={(piece) => setChosen(chosen && keyOf(chosen) === keyOf(piece) ? null : piece)}
              />
            )}
          </SittingBox>
        ))}
        <DragOverlay dropAnimation={null}>
          {chosen && (
            <span className="inline-block border border-ink bg-leaf px-2 py-1 text-[0.95rem] whitespace-nowrap">
              {namesIn(
                rounds[chosen.sitting]?.find(({ id }) => id === chosen.roundId),
                nameOf,
              )}
            </span>
          )}
        </DragOverlay>
      </DndContext>
    </section>
  );
}

/** Up and down go from grip to grip: there are too many to go through one by one on the way to what comes after. */
function amongGrips(event: React.KeyboardEvent<HTMLElement>) {
  const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
  if (!by) return;
  const grips = [...event.currentTarget.querySelectorAll<HTMLElement>('[data-grip]')];
  const at = grips.findIndex((grip) => grip === document.activeElement);
  const next = grips[at < 0 ? (by > 0 ? 0 : grips.length - 1) : at + by];
  if (!next) return;
  event.preventDefault();
  next.focus();
}

interface BoxProps {
  number: number;
  isNew: boolean;
  /** Why what is dragged over it cannot go there; "" where it can; null while nothing is. */
  fault: string | null;
  children: React.ReactNode;
}

function SittingBox({ number, isNew, fault, children }: BoxProps) {
  const { setNodeRef, active } = useDroppable({ id: String(number) });
  if (isNew && !active) return <div ref={setNodeRef}>{children}</div>;
  return (
    <div ref={setNodeRef} className={clsx('mb-4', fault !== null && 'outline-2 outline-offset-4 outline-ink')}>
      {children}
      {fault !== null && (
        <p role="status" className={clsx('bg-card px-2 py-1 text-sm', fault && 'hatched-edge')}>
          {fault ? `It cannot go here: ${fault}` : 'It can go here.'}
        </p>
      )}
    </div>
  );
}

/** What to have on the table: pencils in the order in which they are picked up, tools, a sheet for the hand, what to sharpen. */
function LayOut({
  benchPlan,
  sitting,
  doneIds,
}: {
  benchPlan: BenchPlan;
  sitting: number;
  doneIds: ReadonlySet<string>;
}) {
  const laid = useMemo(() => {
    const stepOf = new Map(benchPlan.steps.map((step) => [step.id, step]));
    const of = (i: number) => benchPlan.sittings[i]!.steps.map((id) => stepOf.get(id)!);
    const before = benchPlan.sittings.slice(0, sitting).flatMap((_, i) => of(i));
    return layOutFor(
      of(sitting).filter(({ id }) => !doneIds.has(id)),
      before,
    );
  }, [benchPlan, sitting, doneIds]);
  const codeOf = new Map(benchPlan.pencils.map(({ id, code }) => [id, code]));
  const codes = (ids: readonly string[]) =>
    ids.map((id, k) => (
      <Fragment key={id}>
        <span className="font-figure whitespace-nowrap">{codeOf.get(id)}</span>
        {k < ids.length - 1 && ', '}
      </Fragment>
    ));
  if (laid.pencils.length === 0) return null;
  const beside = [...toolNames(laid.tools), ...(laid.sheetUnderHand ? ['a sheet under the hand'] : [])];
  return (
    <p className="mb-1 text-sm leading-snug text-soft">
      Lay out {codes(laid.pencils)}
      {beside.length > 0 && `, ${beside.join(', ')}`}.
      {laid.sharpen.length > 0 && <> Sharpen first: {codes(laid.sharpen)}.</>}
    </p>
  );
}

interface StepsProps {
  benchPlan: BenchPlan;
  rounds: readonly Round[];
  nameOf: ReadonlyMap<string, string>;
  number: number;
  doneIds: ReadonlySet<string>;
  chosen: Piece | null;
  onChoose(piece: Piece): void;
}

function namesIn(round: Round | undefined, nameOf: ReadonlyMap<string, string>): string {
  return thingsInWords((round?.steps ?? []).map(({ thingId }) => nameOf.get(thingId) ?? ''));
}

function Steps({ benchPlan, rounds, nameOf, number, doneIds, chosen, onChoose }: StepsProps) {
  return (
    <ol className="border-t border-rule">
      {rounds.map((round, k) => {
        const step = round.steps[0]!;
        const before = rounds[k - 1]?.steps[0];
        const isSame = before !== undefined && inHand(before) === inHand(step);
        const held = heldFor(step, benchPlan.pencils);
        const piece = { sitting: number, roundId: round.id };
        const isDone = round.steps.every(({ id }) => doneIds.has(id));
        const names = namesIn(round, nameOf);
        return (
          <li
            key={round.id}
            className={clsx(
              'flex items-center gap-2 py-0.5',
              !isSame && 'border-t border-rule pt-1 first:border-0',
              chosen && keyOf(chosen) === keyOf(piece) && !isDone && 'bg-card outline-1 outline-ink',
            )}
          >
            <span className="w-2.5 self-stretch" style={{ background: held.colour }} aria-hidden />
            <span
              className={clsx('w-13 font-figure font-bold', held.isTool ? 'text-xs leading-tight' : 'text-[0.9rem]')}
            >
              {isSame ? '' : held.code}
            </span>
            <PressureMark pressure={step.pressure} size={26} />
            <span
              title={names}
              className={clsx(
                'line-clamp-2 min-w-0 flex-1 text-[0.95rem] leading-snug wrap-break-word',
                isDone && 'struck',
              )}
            >
              {names}
            </span>
            <span className="shrink-0 text-sm text-soft">{about(round.minutes)}</span>
            {isDone ? (
              <span className="w-6 shrink-0" />
            ) : (
              <Grip piece={piece} name={names} onChoose={() => onChoose(piece)} />
            )}
          </li>
        );
      })}
    </ol>
  );
}

/** Drags a step to another sitting; pressed, it lets one choose where it goes. */
function Grip({ piece, name, onChoose }: { piece: Piece; name: string; onChoose(): void }) {
  const { listeners, setNodeRef } = useDraggable({ id: keyOf(piece) });
  return (
    <button
      ref={setNodeRef}
      type="button"
      aria-label={`Move ${name} to another sitting`}
      title="Drag to another sitting, or press and choose one"
      className="flex h-7 w-6 shrink-0 cursor-grab items-center justify-center text-soft hover:bg-card hover:text-ink"
      tabIndex={-1}
      data-grip
      onClick={onChoose}
      {...listeners}
    >
      <GripVertical size={15} />
    </button>
  );
}
