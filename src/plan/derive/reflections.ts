import type { Plan, Thing } from '../../contracts/index.ts';
import { type Region } from '../../core/lineart/index.ts';
import { type DrawnReflection, drawnReflections, materialOf } from '../../core/light/index.ts';
import { type Family } from '../../core/recipe/index.ts';
import { type PlannedPage } from './things-in-light.ts';
import { regionsOfThings } from './things-regions.ts';
import { thingsOf } from '../select.ts';

const NAMED = /reflect|mirror/i;

/** What shares so much of its outline with water, or with something that does, lies in it. */
const IN_WATER = 0.15;

/** The reflections that are drawn on a page, and what each repeats: below its water line, or the top of its water. */
export function reflectionsOf(plan: Plan, { regions, neighbours }: PlannedPage): DrawnReflection[] {
  const own = regionsOfThings(plan, regions);
  const water = thingsOf(plan)
    .filter(({ material }) => materialOf(material)?.mirrors)
    .map(({ id }) => id);
  if (water.length === 0 && plan.horizon.waterLineMm === null) return [];
  const things = thingsOf(plan);
  const beside = outlines(things, neighbours);
  const touches = (id: string, some: ReadonlySet<string>) => {
    const borders = beside.get(id) ?? new Map<string, number>();
    let [shared, all] = [0, 0];
    for (const [other, mm] of borders) {
      all += mm;
      if (some.has(other)) shared += mm;
    }
    return shared > 0 && shared >= IN_WATER * all;
  };
  const open = things.filter(({ material }) => !materialOf(material)?.background);
  const wet = new Set(water);
  const near = new Set(open.flatMap(({ id }) => (touches(id, wet) ? [id] : [])));
  const within = new Set(open.flatMap(({ id }) => (near.has(id) || touches(id, near) ? [id] : [])));
  const outlined = things
    .filter(({ material }) => !materialOf(material)?.mirrors)
    .map(({ id, name }) => {
      const inWater = NAMED.test(name) || (within.has(id) ? null : false);
      return { id, regions: own.get(id) ?? [], inWater };
    });
  const tops = water.flatMap((id) => own.get(id) ?? []).map(({ box }) => box.top);
  const alike = drawnReflections(outlined, plan.horizon.waterLineMm ?? Math.min(...tops));
  const called = things.flatMap((thing) => calledAfter(thing, things, own) ?? []);
  const known = new Set(called.map(({ reflection }) => reflection));
  return [...called, ...alike.filter(({ reflection }) => !known.has(reflection))];
}

/** What a reflection is called after: of all whose name it shares the one that stands straightest above it. */
function calledAfter(
  { id, name }: Thing,
  things: readonly Thing[],
  own: ReturnType<typeof regionsOfThings>,
): DrawnReflection | null {
  if (!NAMED.test(name)) return null;
  const words = name.toLowerCase().match(/[a-z]{3,}/g) ?? [];
  const stems = words.filter((word) => !NAMED.test(word)).map((word) => word.replace(/s$/, ''));
  const span = spanOf(own.get(id) ?? []);
  let best: (DrawnReflection & { area: number }) | null = null;
  for (const other of things) {
    if (NAMED.test(other.name) || !stems.some((stem) => other.name.toLowerCase().includes(stem))) continue;
    const regions = own.get(other.id) ?? [];
    const [left, right] = spanOf(regions);
    const shared = Math.max(0, Math.min(right, span[1]) - Math.max(left, span[0])) / Math.max(0.1, span[1] - span[0]);
    const area = regions.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
    if (shared === 0 || (best && (best.alike > shared || (best.alike === shared && best.area >= area)))) continue;
    best = { reflection: id, of: other.id, alike: shared, area };
  }
  return best && { reflection: best.reflection, of: best.of, alike: best.alike };
}

/** From where to where regions reach across the page, mm. */
function spanOf(regions: readonly Region[]): readonly [number, number] {
  return [Math.min(...regions.map(({ box }) => box.left)), Math.max(...regions.map(({ box }) => box.right))];
}

/** How much of its outline each thing shares with each other one, mm. */
function outlines(things: readonly Thing[], neighbours: PlannedPage['neighbours']): Map<string, Map<string, number>> {
  const thingOf = new Map(things.flatMap(({ id, regionIds }) => regionIds.map((regionId) => [regionId, id] as const)));
  const beside = new Map<string, Map<string, number>>();
  for (const { a, b, lengthMm } of neighbours) {
    const [p, q] = [thingOf.get(a), thingOf.get(b)];
    if (p === undefined || q === undefined || p === q) continue;
    share(p, q, lengthMm);
    share(q, p, lengthMm);
  }
  return beside;

  function share(one: string, other: string, lengthMm: number) {
    const borders = beside.get(one) ?? new Map<string, number>();
    beside.set(one, borders.set(other, (borders.get(other) ?? 0) + lengthMm));
  }
}

/** Families, and for every reflection that is drawn the one of what it repeats, but for things that are pinned. */
export function withReflected(
  plan: Plan,
  page: PlannedPage,
  families: Readonly<Record<string, Family>>,
): Record<string, Family> {
  const taken = reflectionsOf(plan, page).flatMap(({ reflection, of }) =>
    families[of] && !plan.things[reflection]?.pinned ? [[reflection, families[of]] as const] : [],
  );
  return { ...families, ...Object.fromEntries(taken) };
}
