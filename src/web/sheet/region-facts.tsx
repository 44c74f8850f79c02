import { useMemo } from 'react';
import { type ShapeKind, bandsThatFit } from '../../core/lineart/index.ts';
import { useAppDispatch, useAppSelector } from '../app/store.ts';
import { chooseRegions } from '../desk/at-the-desk.ts';
import { useDesk } from '../desk/desk-context.ts';
import { Section, Why } from '../parts/index.ts';
import { Figures, ThingMeasures, formatArea } from './figures.tsx';
import { ThingDetails } from './thing-details.tsx';
import { aboutRegion, thingsOf } from '../../plan/index.ts';

const SHOWN = 3;

const SHAPE_WORDS: Record<ShapeKind, string> = {
  ball: 'Round like a ball',
  tube: 'Long and even like a tube',
  leaf: 'Pointed like a leaf',
  ring: 'A ring',
  strip: 'A long strip',
  irregular: 'Of no plain shape',
};

function bandsInWords(bands: number): string {
  return bands === 1 ? '1 band' : `${bands} bands`;
}

interface Props {
  /** The region that is looked at alone while none is pointed at. */
  chosenId: number | null;
  /** All that are chosen. */
  regionIds: readonly number[];
  thingId: string | null;
}

/** What is measured of one region: area, usable width and whom it borders on; or of all that is chosen. */
export function RegionFacts({ chosenId, regionIds, thingId }: Props) {
  const { page, sheet } = useDesk();
  const dispatch = useAppDispatch();
  const things = thingsOf(sheet.plan);
  const thingOf = useMemo(
    () => new Map(things.flatMap((thing) => thing.regionIds.map((id) => [id, thing.name] as const))),
    [things],
  );
  const regionId = useAppSelector((state) => state.atTheDesk.pointedRegionId) ?? chosenId;
  const region = regionId ? page?.regions[regionId - 1] : undefined;
  if (!page) return null;
  if (!region) {
    const thing = thingsOf(sheet.plan).find((each) => each.id === thingId);
    if (thing) return <ThingDetails thing={thing} />;
    if (regionIds.length > 1) {
      return (
        <Section title={`${regionIds.length} regions`}>
          <ThingMeasures regions={regionIds.flatMap((id) => page.regions[id - 1] ?? [])} />
        </Section>
      );
    }
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
        {SHAPE_WORDS[region.shape]}, {region.lengthMm.toFixed(1)} mm long, room for{' '}
        {bandsInWords(bandsThatFit(region.usableWidthMm))}
        {aboutRegion(sheet.plan, region.id).use && <strong>, {aboutRegion(sheet.plan, region.id).use}</strong>}.{' '}
        <Why of="room for bands">
          A band is never narrower than the point: 0.5 mm for a pencil that is kept sharp. The largest circle in this
          region measures {region.usableWidthMm.toFixed(1)} mm; five bands are the most.
        </Why>
      </p>
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
