import { format } from 'date-fns';
import { useMemo } from 'react';
import type { Note, RecordEntry, Reference } from '../../contracts/index.ts';
import { sittingsOf } from '../../core/record/index.ts';
import { about } from '../../order/index.ts';
import { useReferencesQuery } from '../api/desk-api.ts';
import { useDesk } from '../desk/desk-context.ts';
import { PicturesTaken } from '../references/index.ts';
import { NoteLine } from './notebook.tsx';
import { thingsOf } from '../../plan/index.ts';

/** How long a finished step took, minutes. */
export function minutesOf({ startedAt, finishedAt }: RecordEntry): number {
  return (Date.parse(finishedAt) - Date.parse(startedAt)) / 60_000;
}

const spanOf = ({ startedAt, finishedAt }: RecordEntry) => ({
  begun: Date.parse(startedAt),
  finished: Date.parse(finishedAt),
});

/** The sittings, newest first, each with its steps and what was written down and photographed during it or before the next one. */
export function Evenings({ entries, notes }: { entries: readonly RecordEntry[]; notes: readonly Note[] }) {
  const sittings = useMemo(() => sittingsOf(entries, spanOf), [entries]);
  const { sheet } = useDesk();
  const { data: pictures = [] } = useReferencesQuery(sheet.id);
  const before = notes.filter((note) => Date.parse(note.at) < (sittings[0]?.begun ?? Infinity));
  return (
    <>
      {sittings
        .map((sitting, i) => {
          const next = sittings[i + 1]?.begun ?? Infinity;
          const isOfIt = ({ at }: Note | Reference) => Date.parse(at) >= sitting.begun && Date.parse(at) < next;
          const minutes = sitting.entries.reduce((sum, entry) => sum + minutesOf(entry), 0);
          return (
            <section key={sitting.begun} aria-label={`Sitting ${i + 1}`} className="mb-5">
              <h2 className="text-[1.1rem]">
                Sitting {i + 1}, {format(new Date(sitting.begun), 'EEEE d MMMM, HH:mm')}
              </h2>
              <p className="text-[0.95rem] text-soft">
                {sitting.entries.length} {sitting.entries.length === 1 ? 'step' : 'steps'}, {about(minutes)} with a
                pencil in hand
              </p>
              {notes.filter(isOfIt).map((note) => (
                <NoteLine key={note.id} note={note} />
              ))}
              <PicturesTaken sheetId={sheet.id} pictures={pictures.filter(isOfIt)} things={thingsOf(sheet.plan)} />
              <StepTable entries={sitting.entries} />
            </section>
          );
        })
        .reverse()}
      {before.length > 0 && (
        <section aria-label="Before the first sitting">
          <h2 className="text-[1.1rem]">{sittings.length ? 'Before the first sitting' : 'Written down'}</h2>
          {before.map((note) => (
            <NoteLine key={note.id} note={note} />
          ))}
        </section>
      )}
    </>
  );
}

function StepTable({ entries }: { entries: readonly RecordEntry[] }) {
  return (
    <table className="mt-1 w-full text-left text-[0.95rem]">
      <thead>
        <tr className="border-b border-ink">
          {['when', 'pencil', 'where', 'took'].map((name) => (
            <th key={name} scope="col" className="py-1 pr-2 font-semibold">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {[...entries].reverse().map((entry) => (
          <tr key={entry.id} className="border-b border-rule align-top">
            <td className="py-1.5 pr-2 font-figure text-[0.85rem] whitespace-nowrap">
              {format(new Date(entry.finishedAt), 'HH:mm')}
            </td>
            <td className="py-1.5 pr-2 whitespace-nowrap">
              <span className="mr-1.5 inline-block h-3 w-3" style={{ background: entry.pencil.colour }} aria-hidden />
              <span className="font-figure font-bold">{entry.pencil.code}</span>
            </td>
            <td className="py-1.5 pr-2">
              {entry.thing}
              <span className="block text-sm text-soft">
                {entry.pressure}, {entry.regions === 1 ? '1 region' : `${entry.regions} regions`}
              </span>
            </td>
            <td className="py-1.5 whitespace-nowrap">{about(minutesOf(entry))}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
