import type { Plan, RegionsMeta } from '../contracts/index.ts';
import { labOfHex } from '../core/colour/index.ts';
import { type SheetSummary } from '../core/palette/index.ts';

/** What a palette must know of the page: its things, their areas, and how much border any two share. */
export function summariseSheet(plan: Plan, page: Pick<RegionsMeta, 'regions' | 'neighbours'>): SheetSummary {
  const thingOf = new Map(plan.things.flatMap((thing) => thing.regionIds.map((id) => [id, thing.id] as const)));
  const shared = new Map<string, SheetSummary['borders'][number]>();
  for (const { a, b, lengthMm } of page.neighbours) {
    const [p, q] = [thingOf.get(a), thingOf.get(b)].sort();
    if (!p || !q || p === q) continue;
    const key = `${p} ${q}`;
    shared.set(key, { a: p, b: q, lengthMm: lengthMm + (shared.get(key)?.lengthMm ?? 0) });
  }
  return {
    things: plan.things.map(({ id, name, regionIds, focus, natural }) => ({
      ...{ id, name, focus },
      areaMm2: regionIds.reduce((sum, regionId) => sum + (page.regions[regionId - 1]?.areaMm2 ?? 0), 0),
      natural: natural ? labOfHex(natural) : null,
    })),
    borders: [...shared.values()],
  };
}
