import type { Plan, RegionGround, RegionsMeta, Thing } from '../../contracts/index.ts';
import { type Lab, labOfHex } from '../../core/colour/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { materialOf } from '../../core/light/index.ts';
import { type PageSummary, type PageThing, type Pinned, naturalKindOf } from '../../core/palette/index.ts';
import { usualWidth } from '../../core/recipe/index.ts';
import { aboutRegion, thingsOf } from '../select.ts';

/** A thing is coloured already when so much of its area is. */
const MOSTLY = 0.6;

/**
 * What a palette must know of the page: its things from front to back, what they have already, and how much border any
 * two share. Regions that are not to be coloured do not count; a thing that is left white has the paper's own colour.
 * @param grounds what lies on regions already, by region id
 */
export function summariseSheet(
  plan: Plan,
  page: Pick<RegionsMeta, 'regions' | 'neighbours'> & Partial<Pick<RegionsMeta, 'alike'>>,
  grounds: ReadonlyMap<number, RegionGround> = new Map(),
): PageSummary {
  const thingOf = new Map(thingsOf(plan).flatMap((thing) => thing.regionIds.map((id) => [id, thing.id] as const)));
  const shared = new Map<string, PageSummary['borders'][number]>();
  for (const { a, b, lengthMm } of page.neighbours) {
    const [p, q] = [thingOf.get(a), thingOf.get(b)].sort();
    if (!p || !q || p === q) continue;
    const key = `${p} ${q}`;
    shared.set(key, { a: p, b: q, lengthMm: lengthMm + (shared.get(key)?.lengthMm ?? 0) });
  }
  const groupOf = new Map((page.alike ?? []).flatMap((ids, group) => ids.map((id) => [id, group] as const)));
  const far = farOf(plan);
  const things = thingsOf(plan).flatMap(({ id, name, regionIds, focus, natural, material }): PageThing[] => {
    const own = regionIds.flatMap((regionId) => page.regions[regionId - 1] ?? []);
    const toColour = own.filter((region) => aboutRegion(plan, region.id).use !== 'not to colour');
    const area = toColour.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
    if (area === 0) return [];
    const mean = (of: (region: (typeof own)[number]) => number) =>
      toColour.reduce((sum, region) => sum + region.areaMm2 * of(region), 0) / area;
    const largest = toColour.reduce((p, q) => (q.areaMm2 > p.areaMm2 ? q : p));
    return [
      {
        id,
        name,
        focus,
        areaMm2: area,
        widthMm: usualWidth({ regions: toColour }),
        at: {
          x: mean(({ centroid }) => centroid.x) / plan.page.widthMm,
          y: mean(({ centroid }) => centroid.y) / plan.page.heightMm,
        },
        natural: natural ? labOfHex(natural) : null,
        kind: plan.wishes.anyNature ? null : (naturalKindOf(name, material)?.id ?? null),
        far: far.get(id) ?? null,
        laid: laidColour(toColour, plan, grounds),
        alike: groupOf.has(largest.id) ? String(groupOf.get(largest.id)) : null,
      },
    ];
  });
  return { things, borders: [...shared.values()] };
}

/** A page shows distance where something of it is behind everything else: sky, water. */
const isBehindAll = ({ name, material }: Thing) =>
  materialOf(material)?.background === true || naturalKindOf(name, material)?.id === 'sky';

/**
 * How far off each thing of a scene lies, 0 the nearest to 1 the farthest, by the order from front to back. Nothing where the
 * page is no scene, or no distance is wished for; what lies behind everything has none of its own.
 */
export function farOf(plan: Plan): Map<string, number> {
  const things = thingsOf(plan);
  const before = things.filter((thing) => !isBehindAll(thing));
  if (plan.wishes.distance === 'none' || before.length === things.length || before.length < 2) return new Map();
  return new Map(before.map(({ id }, place) => [id, place / (before.length - 1)]));
}

/** The colour that most of a thing has already: as it is coloured, or the paper's where it is left white. */
function laidColour(
  regions: readonly RegionsMeta['regions'][number][],
  plan: Plan,
  grounds: ReadonlyMap<number, RegionGround>,
): Lab | null {
  const area = regions.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  const laid = regions.flatMap(({ id, areaMm2 }) => {
    if (aboutRegion(plan, id).use === 'leave white')
      return [{ areaMm2, lab: labOfHex(paperById(plan.page.paper).tint) }];
    const ground = grounds.get(id);
    return ground?.kind === 'coloured' ? [{ areaMm2, lab: labOfHex(ground.colour) }] : [];
  });
  const covered = laid.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  if (covered < MOSTLY * area) return null;
  const mean = (k: 0 | 1 | 2) => laid.reduce((sum, { areaMm2, lab }) => sum + areaMm2 * lab[k], 0) / covered;
  return [mean(0), mean(1), mean(2)];
}

/** The families that stay as they are: those that are pinned, and have one. */
export function pinnedFamilies(plan: Pick<Plan, 'things'>): Pinned {
  return Object.fromEntries(
    thingsOf(plan).flatMap(({ id, pinned, family }) => (pinned && family ? [[id, family]] : [])),
  );
}
