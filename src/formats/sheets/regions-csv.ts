import { aboutRegion, thingsOf } from '../../plan/index.ts';
import { csvOf } from '../csv-text.ts';
import { type SheetPart } from './sheet-part.ts';

/** Its regions as they were measured, one a row. */
export const regionsCsv: SheetPart = {
  fileName: 'regions.csv',
  write({ sheet: { plan }, page }) {
    if (!page) return null;
    const thingOf = new Map(
      thingsOf(plan).flatMap(({ name, regionIds }) => regionIds.map((id) => [id, name] as const)),
    );
    return csvOf(
      page.regions.map((region) => ({
        id: region.id,
        thing: thingOf.get(region.id) ?? '',
        'area mm2': hundredths(region.areaMm2),
        'usable width mm': hundredths(region.usableWidthMm),
        'length mm': hundredths(region.lengthMm),
        'breadth mm': hundredths(region.breadthMm),
        'axis degrees': hundredths(region.axisDegrees),
        shape: region.shape,
        holes: region.holes,
        'x mm': hundredths(region.pole.x),
        'y mm': hundredths(region.pole.y),
        use: aboutRegion(plan, region.id).use ?? '',
      })),
    );
  },
};

function hundredths(value: number): number {
  return Math.round(100 * value) / 100;
}
