import { type Region } from '../lineart/index.ts';
import { type Zone, zoneWords } from '../recipe/index.ts';
import { type StepFacts } from './make-steps.ts';
import { minutesFor } from './rates.ts';
import { boxAround } from './step.ts';
import type { Step, RepairOfThing } from './schemas.ts';
import { REPAIR } from './repair-ids.ts';

/** Something that makes a mistake good: a step of its own beside those that recipes ask for. */
export interface Repair extends RepairOfThing {
  thingId: string;
}

/** A repair up to this area is done with a sharp point, mm2. */
const SPOT_MM2 = 100;
/** Its own place is told by its purpose and not by a zone. */
const ANYWHERE: Zone = { field: 'tone', from: 0, to: 1, softnessMm: 0, overMm: 1 };

/** Whether a step makes a mistake good. */
export function isRepair({ layerId }: Pick<Step, 'layerId'>): boolean {
  return layerId.startsWith(REPAIR);
}

/** Where a step is laid, in words: on what part of its regions, or that it makes something good there. */
export function whereOf({ layerId, zone }: Pick<Step, 'layerId' | 'zone'>): string {
  return isRepair({ layerId }) ? 'a repair, where it is needed' : zoneWords(zone);
}

/**
 * Adds repairs to the steps that are left: those that come next stand before everything else, in the order in which
 * they were decided; the others after the last step of their thing.
 * @param steps chained within each thing
 * @param regions of the page, by id; those of each repair are among them
 */
export function withRepairs(
  steps: readonly Step[],
  repairs: readonly Repair[],
  regions: ReadonlyMap<number, Region>,
  { valueOf, rates }: Pick<StepFacts, 'valueOf' | 'rates'>,
): Step[] {
  const stepOf = ({ areaMm2, when: _when, id: layerId, ...repair }: Repair, after: readonly string[]): Step => {
    const point = areaMm2 <= SPOT_MM2 ? 'sharp' : 'normal';
    const minutes = minutesFor(areaMm2, { ...repair, point, regions: repair.regionIds.length }, rates);
    return {
      ...repair,
      id: `${repair.thingId}/${layerId}`,
      layerId,
      point,
      stroke: 'small circles',
      zone: ANYWHERE,
      minutes,
      after,
      value: valueOf(repair.pencil),
      box: boxAround(repair.regionIds.flatMap((id) => regions.get(id) ?? [])),
    };
  };
  const before: Step[] = [];
  for (const repair of repairs.filter(({ when }) => when === 'next')) {
    before.push(
      stepOf(
        repair,
        before.slice(-1).map(({ id }) => id),
      ),
    );
  }
  const waitFor = before.slice(-1).map(({ id }) => id);
  const all = [...before, ...steps.map((step) => ({ ...step, after: [...step.after, ...waitFor] }))];
  for (const repair of repairs.filter(({ when }) => when === 'last')) {
    const own = all.findLast(({ thingId }) => thingId === repair.thingId);
    all.push(stepOf(repair, [...new Set([...waitFor, ...(own ? [own.id] : [])])]));
  }
  return all;
}
