import { useEffect, useState } from 'react';
import { lampById } from '../../core/colour/index.ts';
import { type LookAlikes, type PageSummary, lookAlikesUnder } from '../../core/palette/index.ts';
import { bodyOf } from '../../core/recipe/index.ts';
import { familiesOf } from '../../plan/index.ts';
import { useAppSelector } from '../app/store.ts';
import { useDesk } from '../desk/desk-context.ts';
import { LampDoubt } from '../desk/seen-by.tsx';
import { Notice } from '../parts/index.ts';
import { pencilWorker } from '../workers/index.ts';

/** A warning where look-alikes meet; else only a sentence. */
function Told({ warn, children }: { warn: boolean; children: React.ReactNode }) {
  return warn ? <Notice>{children}</Notice> : <div>{children}</div>;
}

/** At most so many pairs are named. */
const MOST = 4;

/** Which pencils of the palette stop parting under the lamp that the page is seen by; nothing by daylight. */
export function LookAlikesUnderLamp({ summary }: { summary: PageSummary | null }) {
  const { sheet, pencilById, use } = useDesk();
  const lamp = useAppSelector((state) => state.atTheDesk.lamp);
  const [found, setFound] = useState<{ lamp: string; pairs: readonly LookAlikes[] } | null>(null);
  const families = familiesOf(sheet.plan);
  useEffect(() => {
    if (lamp === null || !summary) return;
    let wanted = true;
    const things = summary.things.flatMap(({ id, name }) => {
      const family = families[id];
      return family ? [{ id, name, pencil: bodyOf(family) }] : [];
    });
    const own = [...new Set(things.map(({ pencil }) => pencil))].flatMap((id) => pencilById.get(id) ?? []);
    void pencilWorker
      .bodiesUnder(
        own.map((pencil) => use.trayPencil(pencil)),
        use.paper,
        lamp,
      )
      .then((seen) => wanted && setFound({ lamp, pairs: lookAlikesUnder(seen, things, summary.borders) }));
    return () => void (wanted = false);
  }, [lamp, summary, families, pencilById, use]);
  if (lamp === null || found?.lamp !== lamp) return null;
  const code = (id: string) => pencilById.get(id)?.code ?? '';
  const meeting = found.pairs.filter(({ meet }) => meet !== null);
  return (
    <div className="px-4 pt-2 pb-1 text-[0.9rem]" role="status">
      {found.pairs.length === 0 ? (
        <p>By {lampById(lamp).name} every two colours of this page part as they do by day.</p>
      ) : (
        <Told warn={meeting.length > 0}>
          {found.pairs.slice(0, MOST).map(({ a, b, day, lamp: under, meet }) => (
            <span key={`${a} ${b}`} className="block">
              {code(a)} and {code(b)} stop parting: {day.toFixed(0)} apart by day, {under.toFixed(0)} here
              {meet ? `; ${meet[0]} and ${meet[1]} meet in them.` : '.'}
            </span>
          ))}
          {found.pairs.length > MOST && <span className="block">And {found.pairs.length - MOST} pairs more.</span>}
        </Told>
      )}
      <LampDoubt />
    </div>
  );
}
