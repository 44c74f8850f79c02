import { thingsOf } from '../../plan/index.ts';
import { type DrawnGroup, regionsDrawing } from './regions-drawing.ts';
import { type SheetPart } from './sheet-part.ts';

/** Its regions as a drawing at true size, one group a thing. */
export const regionsSvg: SheetPart = {
  fileName: 'regions.svg',
  write({ sheet: { title, plan }, page }) {
    if (!page) return null;
    const { regions, rings, pixelsPerMm } = page;
    const things = thingsOf(plan);
    const inThings = new Set(things.flatMap(({ regionIds }) => regionIds));
    const drawn = (ids: readonly number[]) => ids.map((id) => ({ id, rings: rings[id] ?? [] }));
    const rest = regions.flatMap(({ id }) => (inThings.has(id) ? [] : [id]));
    const groups: DrawnGroup[] = rest.length > 0 ? [{ name: '', regions: drawn(rest) }] : [];
    for (const { name, regionIds } of [...things].reverse()) groups.push({ name, regions: drawn(regionIds) });
    return regionsDrawing({ title, ...plan.page, pixelsPerMm }, groups);
  },
};
