import clsx from 'clsx';
import { type ReactNode } from 'react';
import type { Thing } from '../../contracts/index.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { chooseThing } from './at-the-desk.ts';
import { useDesk } from './desk-context.ts';
import { thingsOf } from '../../plan/index.ts';

/** The things of the sheet to choose from, each with what the stage has to say of it. */
export function ThingList({ label, children }: { label: string; children(thing: Thing): ReactNode }) {
  const { sheet } = useDesk();
  const dispatch = useAppDispatch();
  const thingId = useAppSelector((state) => state.atTheDesk.thingId);
  return (
    <ul className="divide-y divide-rule border-y border-rule" aria-label={label}>
      {thingsOf(sheet.plan).map((thing) => (
        <li key={thing.id}>
          <button
            type="button"
            aria-pressed={thing.id === thingId}
            className={clsx(
              'flex min-h-10 w-full items-center gap-2 px-2 text-left',
              thing.id === thingId && 'bg-leaf font-bold',
            )}
            onClick={() => dispatch(chooseThing(thing.id === thingId ? null : thing))}
          >
            <span className="min-w-0 flex-1 truncate">{thing.name}</span>
            {children(thing)}
          </button>
        </li>
      ))}
    </ul>
  );
}
