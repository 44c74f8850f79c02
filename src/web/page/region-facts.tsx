import { useMemo } from 'react';
import { type Region } from '../../core/lineart/index.ts';
import { useAppDispatch } from '../app/store.ts';
import { chooseRegions } from '../desk/at-the-desk.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Section } from '../parts/index.ts';

const SHOWN = 4;

/** What is measured of one region: area, usable width and whom it borders on; or of the chosen thing as a whole. */
export function RegionFacts({ regionId, thingId }: { regionId: number | null; thingId: string | null }) {
  const { page, sheet } = useDesk();
  const dispatch = useAppDispatch();
  const thingOf = useMemo(
    () => new Map(sheet.plan.things.flatMap((thing) => thing.regionIds.map((id) => [id, thing.name] as const))),
    [sheet.plan.things],
  );
  const region = regionId ? page?.regions[regionId - 1] : undefined;
  if (!page) return null;
  if (!region) {
    const thing = sheet.plan.things.find((each) => each.id === thingId);
    if (thing)
      return <ThingFacts name={thing.name} regions={thing.regionIds.flatMap((id) => page.regions[id - 1] ?? [])} />;
    return (
      <Section title="Measures">
        <p className="text-soft">Point at a region to measure it. Click to choose it; with Shift, several.</p>
      </Section>
    );
  }
  const borders = page.neighbours
    .filter(({ a, b }) => a === region.id || b === region.id)
    .sort((p, q) => q.lengthMm - p.lengthMm);
  return (
    <Section title={`Region ${region.id}`} aside={thingOf.get(region.id)}>
      <Figures
        rows={[
          ['area', formatArea(region.areaMm2)],
          ['usable width', `${region.usableWidthMm.toFixed(1)} mm`],
        ]}
      />
      <p className="mt-1 text-[0.95rem]">
        {borders.length === 0 && 'Borders on no other region.'}
        {borders.length > 0 && <span className="text-soft">beside </span>}
        {borders.slice(0, SHOWN).map((border, i) => {
          const other = border.a === region.id ? border.b : border.a;
          return (
            <span key={other}>
              {i > 0 && ', '}
              <button
                type="button"
                className="underline decoration-rule underline-offset-4"
                onClick={() => dispatch(chooseRegions([other]))}
              >
                {other}
                {thingOf.has(other) ? ` ${thingOf.get(other)}` : ''}
              </button>{' '}
              <span className="text-soft">{border.lengthMm.toFixed(0)} mm</span>
            </span>
          );
        })}
        {borders.length > SHOWN && ` and ${borders.length - SHOWN} more`}
      </p>
    </Section>
  );
}

function ThingFacts({ name, regions }: { name: string; regions: readonly Region[] }) {
  const widths = regions.map((region) => region.usableWidthMm);
  const [narrowest, widest] = [Math.min(...widths), Math.max(...widths)].map((width) => width.toFixed(1));
  return (
    <Section title={name} aside={regions.length === 1 ? '1 region' : `${regions.length} regions`}>
      <Figures
        rows={[
          ['area in all', formatArea(regions.reduce((sum, region) => sum + region.areaMm2, 0))],
          ['usable width', narrowest === widest ? `${widest} mm` : `${narrowest} to ${widest} mm`],
        ]}
      />
    </Section>
  );
}

function Figures({ rows }: { rows: readonly (readonly [name: string, value: string])[] }) {
  return (
    <dl className="grid grid-cols-2 gap-x-4" data-testid="region-facts" aria-live="polite">
      {rows.map(([name, value]) => (
        <div key={name}>
          <dt className="text-sm text-soft">{name}</dt>
          <dd className="font-figure text-lg">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

/** Small areas with a decimal, large ones in whole mm2. */
function formatArea(mm2: number): string {
  return `${mm2 < 20 ? mm2.toFixed(1) : Math.round(mm2).toLocaleString('en')} mm²`;
}
