import { format } from 'date-fns';
import { lazy, Suspense, useMemo } from 'react';
import { Link } from 'react-router';
import type { RecordEntry } from '../../contracts/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { summarise } from '../../core/record/index.ts';
import { useBenchQuery, useRecordQuery } from '../api/desk-api.ts';
import { sentenceOf } from '../api/sentence.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Failed, Waiting } from '../desk/failed.tsx';
import { Frame } from '../desk/frame.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { usePreview } from '../desk/use-preview.ts';
import { Section, Why } from '../parts/index.ts';
import { about } from '../bench/about.ts';
import { useLaidByDone } from '../bench/use-laid-by-done.ts';

const MinutesByPencil = lazy(async () => ({ default: (await import('./minutes-by-pencil.tsx')).MinutesByPencil }));

/** The Record: which steps were finished, when, with which pencil and how long they took. */
export function RecordStage() {
  const { sheet } = useDesk();
  const { data: entries, error } = useRecordQuery(sheet.id);
  const { data: bench } = useBenchQuery(sheet.id);
  if (error) return <Failed sentence={sentenceOf(error)} />;
  if (!entries || !bench) return <Waiting doing="opening the record" />;
  return <RecordOf entries={entries} bench={bench} />;
}

function RecordOf({ entries, bench }: { entries: readonly RecordEntry[]; bench: Parameters<typeof useLaidByDone>[0] }) {
  const { sheet } = useDesk();
  const preview = usePreview(useLaidByDone(bench));
  const summary = useMemo(
    () => summarise(entries.map((entry) => ({ ...entry, pencil: entry.pencil.id, actualMinutes: minutesOf(entry) }))),
    [entries],
  );
  const pencils = useMemo(() => {
    const byId = new Map(entries.map((entry) => [entry.pencil.id, entry.pencil]));
    return summary.pencils.map((sum) => ({ ...sum, ...byId.get(sum.pencil)! }));
  }, [entries, summary]);
  return (
    <Frame
      title="Record"
      wholeRest
      centre={
        <div className="flex h-full">
          <div className="min-w-0 flex-1">
            <SheetView under={preview} paperTint={paperById(sheet.plan.page.paper).tint} fitKey="the record" />
          </div>
          <section
            aria-label="Finished steps"
            className="w-[27rem] shrink-0 overflow-y-auto border-l border-rule bg-leaf px-4 py-3"
            tabIndex={0}
          >
            {entries.length === 0 ? <NothingYet sheetId={sheet.id} /> : <FinishedSteps entries={entries} />}
          </section>
        </div>
      }
      side={
        <>
          <Section title="So far">
            <dl className="grid grid-cols-2 gap-y-2">
              <Figure name="steps finished" value={String(summary.steps)} />
              <Figure name="pencils used" value={String(summary.pencils.length)} />
              <Figure name="time taken" value={summary.steps ? about(summary.actualMinutes) : 'none yet'} />
              <Figure name="time planned" value={summary.steps ? about(summary.plannedMinutes) : 'none yet'} />
            </dl>
            {summary.pace !== null && (
              <p className="mt-1 text-[0.95rem]">
                You take {summary.pace < 0.95 ? 'less' : summary.pace > 1.05 ? 'more' : 'just the'} time{' '}
                {summary.pace < 0.95 || summary.pace > 1.05 ? 'than' : 'that was'} planned.{' '}
                <Why of="pace">
                  Time taken over time planned is {summary.pace.toFixed(2)}. A step left open for more than an hour
                  counts as one hour.
                </Why>
              </p>
            )}
          </Section>
          {pencils.length > 0 && (
            <Section title="Minutes by pencil">
              <Suspense fallback={<p className="text-soft">drawing …</p>}>
                <MinutesByPencil pencils={pencils.slice(0, 12)} />
              </Suspense>
            </Section>
          )}
        </>
      }
    />
  );
}

function minutesOf({ startedAt, finishedAt }: RecordEntry): number {
  return (Date.parse(finishedAt) - Date.parse(startedAt)) / 60_000;
}

function Figure({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt className="text-sm text-soft">{name}</dt>
      <dd className="font-figure text-lg">{value}</dd>
    </div>
  );
}

function NothingYet({ sheetId }: { sheetId: string }) {
  return (
    <div className="py-6">
      <p className="text-xl">Nothing is finished yet.</p>
      <p className="mt-2 text-soft">
        Each step that you mark done at the Bench is written down here with its pencil and time.
      </p>
      <Link to={`/sheets/${sheetId}/bench`} className="mt-3 inline-block font-semibold underline underline-offset-4">
        Go to the Bench
      </Link>
    </div>
  );
}

function FinishedSteps({ entries }: { entries: readonly RecordEntry[] }) {
  return (
    <table className="w-full text-left text-[0.95rem]">
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
              {format(new Date(entry.finishedAt), 'd MMM HH:mm')}
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
