import isEqual from 'fast-deep-equal';
import type { Draft } from 'immer';
import type { AboutRegion, AsideShape, Plan, RegionsMeta, Thing } from '../contracts/index.ts';
import { NO_REGION, SAME_SHARE, sameRegions } from '../core/lineart/index.ts';
import { giveHome } from './edits/index.ts';

/** Regions with their raster: labels row by row, 0 for ink. */
export interface MappedRegions {
  labels: Uint16Array;
  meta: Pick<RegionsMeta, 'from' | 'width' | 'height' | 'pixelsPerMm' | 'regions'>;
}

/**
 * Takes a plan over to regions found anew. Each new region has the thing and what was said of the old one that it
 * shares most paper with, so that both halves of a region that was parted stay in its thing. A shape that lost its
 * region is kept aside, and comes back where a region of about its size is found there again.
 * @param before null where none were found before, or none that can be compared
 */
export function takeRegions(plan: Draft<Plan>, before: MappedRegions | null, now: MappedRegions): void {
  if (before && before.labels.length === now.labels.length) carryOver(plan, before, now);
  plan.regionsFrom = now.meta.from;
}

function carryOver(plan: Draft<Plan>, before: MappedRegions, now: MappedRegions): void {
  const oldOf = sameRegions(before.labels, now.labels);
  const newOf = new Map<number, number[]>();
  for (const [is, was] of oldOf) newOf.set(was, [...(newOf.get(was) ?? []), is]);
  const lost = lostShapes(plan, before, newOf, ({ pole }) => oldOf.get(regionAt(now, pole)));
  // Shapes that come back are no part of what took their paper meanwhile.
  const back = homes(plan.aside.shapes, now, (id) => before.meta.regions[(oldOf.get(id) ?? 0) - 1]?.areaMm2);
  const taken = new Set(back.values());
  const moved = (ids: readonly number[]) => ids.flatMap((id) => newOf.get(id) ?? []).filter((id) => !taken.has(id));
  for (const thing of Object.values(plan.things)) {
    thing.regionIds = moved(thing.regionIds).sort((p, q) => p - q);
    for (const repair of thing.repairs) repair.regionIds = moved(repair.regionIds);
  }
  const said = Object.entries(plan.regions) as [string, AboutRegion][];
  plan.regions = Object.fromEntries(said.flatMap(([id, about]) => moved([Number(id)]).map((is) => [is, { ...about }])));
  for (const [shape, regionId] of back) giveHome(plan, shape, regionId);
  plan.aside.shapes = [...plan.aside.shapes.filter((shape) => !back.has(shape)), ...lost];
  for (const thing of Object.values(plan.things)) {
    if (thing.regionIds.length > 0) continue;
    plan.aside.things[thing.id] = thing;
    delete plan.things[thing.id];
  }
}

/**
 * What hung on regions that no new one is the same as.
 * @param wentInto the old region whose place in the plan a new one has that lies there now: where all was decided alike
 *   for both, nothing is lost
 */
function lostShapes(
  plan: Draft<Plan>,
  { meta }: MappedRegions,
  newOf: ReadonlyMap<number, readonly number[]>,
  wentInto: (region: RegionsMeta['regions'][number]) => number | undefined,
): AsideShape[] {
  const home = new Map<number, Thing>();
  for (const thing of Object.values(plan.things)) for (const id of thing.regionIds) home.set(id, thing as Thing);
  const named = new Set([...home.keys(), ...Object.keys(plan.regions).map(Number)]);
  return [...named]
    .sort((p, q) => p - q)
    .flatMap((id): AsideShape[] => {
      const region = meta.regions[id - 1];
      if (!region || newOf.has(id)) return [];
      const thing = home.get(id);
      const into = wentInto(region);
      if (into !== undefined && home.get(into) === thing && isEqual(plan.regions[into], plan.regions[id])) return [];
      const repairs = thing?.repairs.filter(({ regionIds }) => regionIds.includes(id)).map((repair) => repair.id) ?? [];
      const about = plan.regions[id] ? { ...plan.regions[id] } : null;
      return [{ at: { ...region.pole }, areaMm2: region.areaMm2, thingId: thing?.id ?? null, about, repairs }];
    });
}

/**
 * The new region that each shape kept aside comes back to: the one at its place, if that has about its size, and had
 * not that size before already, when it was no home to it.
 */
function homes(
  shapes: readonly Draft<AsideShape>[],
  { labels, meta }: MappedRegions,
  areaBefore: (id: number) => number | undefined,
): Map<Draft<AsideShape>, number> {
  const found = new Map<Draft<AsideShape>, number>();
  const taken = new Set<number>();
  for (const shape of shapes) {
    const id = regionAt({ labels, meta }, shape.at);
    const region = meta.regions[id - 1];
    if (!region || taken.has(id) || !likeInSize(region.areaMm2, shape.areaMm2)) continue;
    const was = areaBefore(id);
    if (was !== undefined && likeInSize(was, shape.areaMm2)) continue;
    taken.add(id);
    found.set(shape, id);
  }
  return found;
}

/** The region at a point of the page, mm; 0 on ink, beside the page and where nothing is a region. */
export function regionAt({ labels, meta }: MappedRegions, at: { x: number; y: number }): number {
  const [x, y] = [Math.floor(at.x * meta.pixelsPerMm), Math.floor(at.y * meta.pixelsPerMm)];
  const isOnPage = x >= 0 && y >= 0 && x < meta.width && y < meta.height;
  const label = isOnPage ? labels[y * meta.width + x] : NO_REGION;
  return label === undefined || label === NO_REGION ? 0 : label;
}

function likeInSize(p: number, q: number): boolean {
  return Math.min(p, q) >= SAME_SHARE * Math.max(p, q);
}
