import { type Region } from '../../core/lineart/index.ts';

/** What the regions of a thing come to. */
export function ThingMeasures({ regions }: { regions: readonly Region[] }) {
  const widths = regions.map((region) => region.usableWidthMm);
  const [narrowest, widest] = [Math.min(...widths), Math.max(...widths)].map((width) => width.toFixed(1));
  return (
    <Figures
      rows={[
        [
          regions.length === 1 ? 'area of 1 region' : `area of ${regions.length} regions`,
          formatArea(regions.reduce((sum, region) => sum + region.areaMm2, 0)),
        ],
        ['usable width', narrowest === widest ? `${widest} mm` : `${narrowest} to ${widest} mm`],
      ]}
    />
  );
}

/** Named figures side by side. */
export function Figures({ rows }: { rows: readonly (readonly [name: string, value: string])[] }) {
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
export function formatArea(mm2: number): string {
  return `${mm2 < 20 ? mm2.toFixed(1) : Math.round(mm2).toLocaleString('en')} mm²`;
}
