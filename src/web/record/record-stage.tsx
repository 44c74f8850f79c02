import { lazy, Suspense, useMemo } from 'react';
import { Link } from 'react-router';
import type { Notebook, RecordEntry } from '../../contracts/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { summarise } from '../../core/record/index.ts';
import { useBenchQuery, useNotebookQuery, usePracticeQuery, useRecordQuery } from '../api/desk-api.ts';
import { whyNotShown } from '../api/sentence.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Failed, Waiting } from '../desk/failed.tsx';
import { Frame } from '../desk/frame.tsx';
import { SheetView } from '../desk/sheet-view.tsx';
import { usePreview } from '../desk/use-preview.ts';
import { Section, Why } from '../parts/index.ts';
import { about } from '../../order/index.ts';
import { Evenings, minutesOf } from './evenings.tsx';
import { WriteDown } from '../desk/write-down.tsx';
import { Trials } from './notebook.tsx';
import { useLaidByDone } from '../desk/use-laid-by-done.ts';

const PracticeChart = lazy(async () => ({ default: (await import('./practice.tsx')).PracticeChart }));
const MinutesByPencil = lazy(async () => ({ default: (await import('./minutes-by-pencil.tsx')).MinutesByPencil }));

/** The Record: which steps were finished, when, with which pencil and how long they took. */
export function RecordStage() {
  const { sheet } = useDesk();
  const { data: entries, error } = useRecordQuery(sheet.id);
  const { data: bench } = useBenchQuery(sheet.id);
  const { data: notebook } = useNotebookQuery(sheet.id);
  if (error) return <Failed sentence={whyNotShown(error)} />;
  if (!entries || !bench || !notebook) return <Waiting doing="opening the record" />;
  return <RecordOf entries={entries} notebook={notebook} bench={bench} />;
}

function RecordOf({
  entries,
  notebook,
  bench,
}: {
  entries: readonly RecordEntry[];
  notebook: Notebook;
  bench: Parameters<typeof useLaidByDone>[0];
}) {
  const { data: practice = [] } = usePracticeQuery();
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
        <div className="flex h-full max-md:flex-col">
          <div className="min-h-0 min-w-0 flex-1">
            <SheetView predicted={preview} paperTint={paperById(sheet.plan.page.paper).tint} fitKey="the record" />
          </div>
          <section
            aria-label="Finished steps"
            className="relative w-[27rem] shrink-0 overflow-y-auto border-l border-rule bg-leaf px-4 py-3 max-md:h-1/2 max-md:w-full max-md:border-t max-md:border-l-0"
            tabIndex={0}
          >
            {entries.length === 0 && <NothingYet sheetId={sheet.id} />}
            <Evenings entries={entries} notes={notebook.notes} />
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
          <Section title="Write it down">
            <WriteDown sheetId={sheet.id} />
          </Section>
          {pencils.length > 0 && (
            <Section title="Minutes by pencil">
              <Suspense fallback={<p className="text-soft">drawing …</p>}>
                <MinutesByPencil pencils={pencils.slice(0, 12)} />
              </Suspense>
            </Section>
          )}
          {notebook.trials[0] && (
            <Section title="Trial swatches" aside={`on ${paperById(notebook.trials[0].paper).name}`}>
              <Trials trials={notebook.trials} />
            </Section>
          )}
          {practice.length > 0 && (
            <Section title="Practice">
              <Suspense fallback={<p className="text-soft">drawing …</p>}>
                {practice.map((series) => (
                  <PracticeChart key={series.id} series={series} />
                ))}
              </Suspense>
            </Section>
          )}
        </>
      }
    />
  );
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
