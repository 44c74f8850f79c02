import type { Plan } from '../../contracts/index.ts';
import { type Region } from '../../core/lineart/index.ts';
import { aboutRegion, thingsOf } from '../select.ts';

/** The regions of each thing that are to be coloured, by thing id. */
export function regionsOfThings<Own extends Region>(plan: Plan, regions: readonly Own[]): Map<string, Own[]> {
  const byId = new Map(regions.flatMap((region) => (aboutRegion(plan, region.id).use ? [] : [[region.id, region]])));
  return new Map(thingsOf(plan).map((thing) => [thing.id, thing.regionIds.flatMap((id) => byId.get(id) ?? [])]));
}
