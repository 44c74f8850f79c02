import type { Draft } from 'immer';
import type { Plan, Thing } from '../../contracts/index.ts';
import { type Repair } from '../../core/bench/index.ts';
import { thingIn } from './things.ts';

/** Decides on repairs, each on its thing. */
export function addRepairs(plan: Draft<Plan>, repairs: readonly Repair[]): void {
  for (const { thingId, ...repair } of repairs)
    thingIn(plan, thingId).repairs.push({
      ...repair,
      regionIds: [...repair.regionIds],
    } as Draft<Thing>['repairs'][number]);
}
