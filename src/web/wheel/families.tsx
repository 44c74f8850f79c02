import clsx from 'clsx';
import { Pin } from 'lucide-react';
import { type PageSummary } from '../../core/palette/index.ts';
import { type Lab } from '../../core/colour/index.ts';
import { thingsOf } from '../../plan/index.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { chooseThing } from '../desk/at-the-desk.ts';
import { bodyColour } from '../desk/body-colour.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Section } from '../parts/index.ts';
import { StripForScrap } from './strip-for-scrap.tsx';
import { FamilyDetails } from './family-details.tsx';

/** Each thing with its family; the chosen one's opens to its passage and to what could be changed. */
export function Families({ summary, colours }: { summary: PageSummary | null; colours: ReadonlyMap<string, Lab> }) {
  const desk = useDesk();
  const { sheet, pencilById } = desk;
  const dispatch = useAppDispatch();
  const thingId = useAppSelector((state) => state.atTheDesk.thingId);
  const things = thingsOf(sheet.plan);
  if (things.length === 0) return null;
  return (
    <Section title="Families" aside="dark to light">
      <ul className="divide-y divide-rule border-y border-rule" aria-label="Families">
        {things.map((thing) => {
          const open = thing.id === thingId;
          const { family } = thing;
          return (
            <li key={thing.id} className={clsx(open && 'bg-leaf')}>
              <button
                type="button"
                aria-expanded={open}
                className="flex min-h-10 w-full items-center gap-2 px-2 text-left"
                onClick={() => dispatch(chooseThing(open ? null : thing))}
              >
                <span className={clsx('min-w-0 flex-1 truncate', open && 'font-bold')}>
                  {thing.pinned && <Pin size={13} className="mr-1 inline" aria-label="pinned" />}
                  {thing.name}
                </span>
                {family ? (
                  <span className="flex gap-1 font-figure text-[0.75rem]">
                    {family.pencils.map((id) => (
                      <span key={id} className="flex flex-col items-center leading-none">
                        <span className="mb-0.5 h-3 w-full min-w-8" style={{ background: bodyColour(desk, id) }} />
                        {pencilById.get(id)?.code ?? 'gone'}
                      </span>
                    ))}
                  </span>
                ) : (
                  <span className="text-sm text-soft">
                    {colours.has(thing.id) ? 'coloured already' : 'no family yet'}
                  </span>
                )}
              </button>
              {open && <FamilyDetails key={thing.id} thing={thing} summary={summary} colours={colours} />}
            </li>
          );
        })}
      </ul>
      <StripForScrap />
    </Section>
  );
}
