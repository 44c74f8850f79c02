import { useMemo } from 'react';
import { useAppDispatch } from '../app/store.ts';
import { chooseRegions } from '../desk/at-the-desk.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Section } from '../parts/index.ts';

const SHOWN = 4;

/** What is measured of one region: area, usable width and whom it borders on. */
export function RegionFacts({ regionId }: { regionId: number | null }) {
  const { page, sheet } = useDesk();
  const dispatch = useAppDispatch();
  const thingOf = useMemo(
    () => new Map(sheet.plan.things.flatMap((thing) => thing.regionIds.map((id) => [id, thing.name] as const))),
    [sheet.plan.things],
  );
  const region = regionId ? page?.regions[regionId - 1] : undefined;
  if (!region || !page) {
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
      <dl className="grid grid-cols-2 gap-x-4" data-testid="region-facts">
        <div>
          <dt className="text-sm text-soft">area</dt>
          <dd className="font-figure text-lg">{formatArea(region.areaMm2)}</dd>
        </div>
        <div>
          <dt className="text-sm text-soft">usable width</dt>
          <dd className="font-figure text-lg">{region.usableWidthMm.toFixed(1)} mm</dd>
        </div>
      </dl>
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

/** Small areas with a decimal, large ones in whole mm2. */
export function formatArea(mm2: number): string {
  return `${mm2 < 20 ? mm2.toFixed(1) : Math.round(mm2).toLocaleString('en')} mm²`;
}
