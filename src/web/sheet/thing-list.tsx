import { useSortable } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import { GripVertical, Star, Trash2 } from 'lucide-react';
import { useState } from 'react';
import type { Thing } from '../../contracts/index.ts';
import { decideThing, moveThing, removeThings, thingsOf } from '../../plan/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { chooseThing } from '../desk/at-the-desk.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Reordered } from '../parts/index.ts';

/** From so many things on they can be searched. */
const SEARCHED_FROM = 10;

/** The things of the page from front to back: chosen, made the focus, taken apart, and moved by their grips. */
export function ThingList() {
  const { sheet } = useDesk();
  const change = usePlanChange(sheet.id, 'sheet');
  const things = thingsOf(sheet.plan);
  const [sought, setSought] = useState('');
  const shown = sought ? things.filter(({ name }) => name.toLowerCase().includes(sought.trim().toLowerCase())) : things;
  const move = (id: string, onto: string) => {
    const [moved, place] = [id, onto].map((each) => things.find((thing) => thing.id === each));
    if (!moved || !place) return;
    const where = place.depth < moved.depth ? 'further in front' : 'further behind';
    void change(`${moved.name} ${where}`, (plan) => moveThing(plan, id, onto));
  };
  return (
    <>
      {things.length >= SEARCHED_FROM && (
        <input
          type="search"
          aria-label="Find a thing"
          placeholder="find a thing"
          className="mt-2 h-10 w-full border border-edge bg-leaf px-2"
          value={sought}
          onChange={(event) => setSought(event.target.value)}
        />
      )}
      {things.length > 1 && (
        <p className="mt-1 text-sm text-soft">In front first; a grip moves a thing to the front or back.</p>
      )}
      <Reordered ids={shown.map(({ id }) => id)} onMove={move}>
        <ul
          className="mt-1 min-h-0 flex-1 divide-y divide-rule overflow-y-auto border-y border-rule empty:hidden"
          aria-label="Things"
        >
          {shown.map((thing) => (
            <ThingRow key={thing.id} thing={thing} />
          ))}
        </ul>
      </Reordered>
      {sought && shown.length === 0 && <p className="mt-2 text-soft">No thing is called so.</p>}
    </>
  );
}

function ThingRow({ thing }: { thing: Thing }) {
  const { sheet } = useDesk();
  const dispatch = useAppDispatch();
  const change = usePlanChange(sheet.id, 'sheet');
  const chosen = useAppSelector((state) => state.atTheDesk.thingId === thing.id);
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: thing.id,
  });
  const things = thingsOf(sheet.plan);
  const whole = things.find(({ id }) => id === thing.within);
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={clsx('flex items-center', chosen && 'bg-leaf', isDragging && 'relative z-10 bg-leaf shadow-lg')}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        className="flex h-10 w-7 shrink-0 cursor-grab touch-none items-center justify-center text-soft"
        {...attributes}
        {...listeners}
        aria-label={`Move ${thing.name} to the front or back`}
      >
        <GripVertical size={16} aria-hidden />
      </button>
      <button
        type="button"
        aria-pressed={chosen}
        className="flex min-h-10 min-w-0 flex-1 items-baseline gap-2 py-1.5 pr-2 text-left"
        onClick={() => dispatch(chooseThing(chosen ? null : thing))}
      >
        <span className={clsx('truncate', chosen && 'font-bold')}>{thing.name}</span>
        {whole && <span className="truncate text-sm text-soft">of {whole.name}</span>}
        <span className="ml-auto shrink-0 text-sm text-soft">
          {thing.guessed ? 'a guess' : thing.regionIds.length === 1 ? '1 region' : `${thing.regionIds.length} regions`}
        </span>
      </button>
      <button
        type="button"
        className="flex h-10 w-9 items-center justify-center"
        aria-pressed={thing.focus}
        aria-label={`${thing.name} is the focus`}
        title="The eye should go here first"
        onClick={() =>
          void change(thing.focus ? `${thing.name} no longer the focus` : `${thing.name} as the focus`, (plan) =>
            decideThing(plan, thing.id, { focus: !thing.focus }),
          )
        }
      >
        <Star size={16} fill={thing.focus ? 'currentColor' : 'none'} />
      </button>
      <button
        type="button"
        className="flex h-10 w-9 items-center justify-center"
        aria-label={`Take ${thing.name} apart`}
        title="Take apart: its regions go back to none"
        onClick={() => {
          dispatch(chooseThing(null));
          void change(`take ${thing.name} apart`, (plan) => removeThings(plan, [thing.id]));
        }}
      >
        <Trash2 size={16} />
      </button>
    </li>
  );
}
