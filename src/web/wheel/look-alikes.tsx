import { useMemo } from 'react';
import { lampById } from '../../core/colour/index.ts';
import { type PageSummary, lookAlikesUnder } from '../../core/palette/index.ts';
import { bodyOf } from '../../core/recipe/index.ts';
import { familiesOf } from '../../plan/index.ts';
import { useAppSelector } from '../app/store.ts';
import { useDesk } from '../desk/desk-context.ts';
import { LampDoubt } from '../desk/seen-by.tsx';
import { Notice } from '../parts/index.ts';
import { pencilJobs, useAnswer } from '../workers/index.ts';

/** A warning where look-alikes meet; else only a sentence. */
function Told({ warn, children }: { warn: boolean; children: React.ReactNode }) {
  return warn ? <Notice>{children}</Notice> : <div>{children}</div>;
}

/** At most so many pairs are named. */
const MOST = 4;

/** Which pencils of the palette stop parting under the lamp that the page is seen by; nothing by daylight. */
export function LookAlikesUnderLamp({ summary }: { summary: PageSummary | null }) {
  const { sheet, pencilById, paperModel } = useDesk();
  const lamp = useAppSelector((state) => state.atTheDesk.lamp);
  const families = familiesOf(sheet.plan);
  const things = useMemo(
    () =>
      (summary?.things ?? []).flatMap(({ id, name }) => {
        const family = families[id];
        return family ? [{ id, name, pencil: bodyOf(family) }] : [];
      }),
    [summary, families],
  );
  const ask = () => {
    const own = [...new Set(things.map(({ pencil }) => pencil))].flatMap((id) => pencilById.get(id) ?? []);
    const pencils = own.map((pencil) => paperModel.trayPencil(pencil));
    return pencilJobs.start('bodiesUnder', { pencils, paper: paperModel.paper, lamp: lamp! });
  };
  const seen = useAnswer(lamp !== null && summary ? [ask] : [], [lamp, things, pencilById, paperModel], {
    fresh: true,
  }).value;
  const pairs = useMemo(
    () => (seen && summary ? lookAlikesUnder(seen, things, summary.borders) : null),
    [seen, things, summary],
  );
  if (lamp === null || pairs === null) return null;
  const code = (id: string) => pencilById.get(id)?.code ?? '';
  const meeting = pairs.filter(({ meet }) => meet !== null);
  return (
    <div className="px-4 pt-2 pb-1 text-[0.9rem]" role="status">
      {pairs.length === 0 ? (
        <p>By {lampById(lamp).name} every two colours of this page part as they do by day.</p>
      ) : (
        <Told warn={meeting.length > 0}>
          {pairs.slice(0, MOST).map(({ a, b, day, lamp: under, meet }) => (
            <span key={`${a} ${b}`} className="block">
              {code(a)} and {code(b)} stop parting: {day.toFixed(0)} apart by day, {under.toFixed(0)} here
              {meet ? `; ${meet[0]} and ${meet[1]} meet in them.` : '.'}
            </span>
          ))}
          {pairs.length > MOST && <span className="block">And {pairs.length - MOST} pairs more.</span>}
        </Told>
      )}
      <LampDoubt />
    </div>
  );
}
