import type { Draft } from 'immer';
import type { AboutRegion, Mend, Plan, RegionGround } from '../../contracts/index.ts';
import { PatchError } from '../patches.ts';

/** Says something of regions, over what was said of the same before; undefined takes back what was said. */
export function sayOfRegions(plan: Draft<Plan>, regionIds: readonly number[], about: AboutRegion): void {
  for (const id of regionIds) {
    const said = { ...plan.regions[id], ...about };
    for (const key of Object.keys(said) as (keyof AboutRegion)[]) if (said[key] === undefined) delete said[key];
    if (Object.keys(said).length > 0) plan.regions[id] = said;
    else delete plan.regions[id];
  }
}

/** Says what lies on each of some regions. */
export function sayGrounds(plan: Draft<Plan>, grounds: ReadonlyMap<number, RegionGround>): void {
  for (const [id, ground] of grounds) sayOfRegions(plan, [id], { ground });
}

/** Mends what was found of the regions. */
export function addMends(plan: Draft<Plan>, mends: readonly Mend[]): void {
  plan.finding.mends.push(...(mends as Draft<Mend>[]));
}

/** Gives a shape that lost its region to one that is there now, with all that was decided for it. */
export function placeAside(plan: Draft<Plan>, index: number, regionId: number): void {
  const [shape] = plan.aside.shapes.splice(index, 1);
  if (!shape) throw new PatchError('This shape is not kept aside any more.');
  for (const thing of Object.values(plan.things)) {
    if (shape.thingId !== null && thing.regionIds.includes(regionId)) {
      thing.regionIds = thing.regionIds.filter((id) => id !== regionId);
    }
  }
  giveHome(plan, shape, regionId);
  for (const thing of Object.values(plan.things)) if (thing.regionIds.length === 0) delete plan.things[thing.id];
}

/** Lets go of shapes that lost their regions, and of things that have no other left. */
export function forgetAside(plan: Draft<Plan>, indexes: readonly number[]): void {
  const gone = new Set(indexes);
  plan.aside.shapes = plan.aside.shapes.filter((_, index) => !gone.has(index));
  const named = new Set(plan.aside.shapes.map(({ thingId }) => thingId));
  for (const id of Object.keys(plan.aside.things)) if (!named.has(id)) delete plan.aside.things[id];
}

/** A shape kept aside comes to a region: its thing takes it, and what was said of it holds again. */
export function giveHome(plan: Draft<Plan>, shape: Draft<Plan>['aside']['shapes'][number], regionId: number): void {
  if (shape.thingId !== null) {
    const back = plan.aside.things[shape.thingId];
    if (back) {
      plan.things[back.id] = back;
      delete plan.aside.things[back.id];
    }
    const thing = plan.things[shape.thingId];
    if (thing) {
      thing.regionIds = [...thing.regionIds, regionId].sort((p, q) => p - q);
      for (const repair of thing.repairs) if (shape.repairs.includes(repair.id)) repair.regionIds.push(regionId);
    }
  }
  if (shape.about) sayOfRegions(plan, [regionId], shape.about);
}
