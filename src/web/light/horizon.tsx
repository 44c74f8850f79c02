import isEqual from 'fast-deep-equal';
import { Trash2 } from 'lucide-react';
import { useMemo } from 'react';
import type { Horizon } from '../../contracts/index.ts';
import { decide, familiesOf, giveFamilies, thingsOf } from '../../plan/index.ts';
import { materialOf } from '../../core/light/index.ts';
import { reflectionsOf } from '../../plan/derive/index.ts';
import { usePlanChange } from '../api/use-plan.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Button, Section } from '../parts/index.ts';

/** A water line begins at the top of what is water, or so far down the page. */
const USUAL_LINE = 0.55;

/** Where still water begins and what it shows, and where lines that run away from the viewer meet. */
export function HorizonOfPage({ horizon }: { horizon: Horizon }) {
  const { sheet, page } = useDesk();
  const things = thingsOf(sheet.plan);
  const { widthMm, heightMm } = sheet.plan.page;
  const change = usePlanChange(sheet.id, 'light');
  const set = (next: Partial<Horizon>, label: string) =>
    void change(label, (plan) => decide(plan, { horizon: { ...plan.horizon, ...next } }));
  const water = things.filter(({ material }) => materialOf(material)?.mirrors).flatMap(({ regionIds }) => regionIds);
  const begins = Math.min(...water.flatMap((id) => page?.regions[id - 1]?.box.top ?? []));
  const line = Number.isFinite(begins) ? begins : USUAL_LINE * heightMm;
  return (
    <Section title="Water and distance">
      <div className="grid gap-2">
        {horizon.waterLineMm === null ? (
          <Button onClick={() => set({ waterLineMm: tenth(line) }, 'a water line')}>Set a water line</Button>
        ) : (
          <div className="border border-edge bg-leaf px-3 py-2">
            <Row
              words={`Water line ${horizon.waterLineMm.toFixed(0)} mm down`}
              away="Take the water line away"
              onAway={() => set({ waterLineMm: null }, 'no water line')}
            />
            <label className="flex min-h-9 items-center gap-2 text-[0.95rem]">
              <input
                type="checkbox"
                className="h-5 w-5 accent-neutral-700"
                checked={horizon.rippled}
                onChange={(event) =>
                  set({ rippled: event.target.checked }, event.target.checked ? 'rippled water' : 'still water')
                }
              />
              rippled
            </label>
            <p className="text-[0.95rem] text-soft">
              Water below the line shows what stands above it, darker and cooler. Drag the mark on the sheet.
              {water.length === 0 && ' No thing here is of water yet: say so at the Sheet.'}
            </p>
          </div>
        )}
        {horizon.waterLineMm !== null && <DrawnReflections />}
        {horizon.vanishing === null ? (
          <Button onClick={() => set({ vanishing: { x: widthMm / 2, y: tenth(line) } }, 'a vanishing point')}>
            Set a vanishing point
          </Button>
        ) : (
          <div className="border border-edge bg-leaf px-3 py-2">
            <Row
              words={`Vanishing point ${horizon.vanishing.x.toFixed(0)}, ${horizon.vanishing.y.toFixed(0)} mm`}
              away="Take the vanishing point away"
              onAway={() => set({ vanishing: null }, 'no vanishing point')}
            />
            <p className="text-[0.95rem] text-soft">
              Strokes on side faces, and lines of a pattern on them, run there.
            </p>
          </div>
        )}
      </div>
    </Section>
  );
}

function Row({ words, away, onAway }: { words: string; away: string; onAway(): void }) {
  return (
    <div className="flex items-center gap-2">
      <span className="min-w-0 flex-1 font-semibold">{words}</span>
      <button
        type="button"
        aria-label={away}
        title={away}
        className="flex h-9 w-9 items-center justify-center hover:bg-card"
        onClick={onAway}
      >
        <Trash2 size={16} />
      </button>
    </div>
  );
}

/** Reflections that the artist has drawn: each can take the family of what it repeats. */
function DrawnReflections() {
  const { sheet, page } = useDesk();
  const families = familiesOf(sheet.plan);
  const things = thingsOf(sheet.plan);
  const change = usePlanChange(sheet.id, 'light');
  const pairs = useMemo(() => (page ? reflectionsOf(sheet.plan, page) : []), [sheet.plan, page]);
  const nameOf = (id: string) => things.find((thing) => thing.id === id)?.name ?? '';
  const open = pairs.flatMap(({ reflection, of }) => {
    const family = families[of];
    return family && !isEqual(families[reflection], family) ? [{ reflection, of, family }] : [];
  });
  if (open.length === 0) return null;
  return (
    <ul className="grid gap-1" aria-label="Reflections that are drawn">
      {open.map(({ reflection, of, family }) => (
        <li key={reflection} className="flex items-center gap-2 text-[0.95rem]">
          <span className="min-w-0 flex-1">
            {nameOf(reflection)} repeats {nameOf(of)}.
          </span>
          <Button
            look="bare"
            className="px-0!"
            aria-label={`Give ${nameOf(reflection)} the pencils of ${nameOf(of)}`}
            onClick={() =>
              void change(`${nameOf(reflection)} as ${nameOf(of)}`, (plan) =>
                giveFamilies(plan, { [reflection]: family }),
              )
            }
          >
            Same pencils
          </Button>
        </li>
      ))}
    </ul>
  );
}

function tenth(mm: number): number {
  return Math.round(10 * mm) / 10;
}
