import type { FinishedLayer, Plan } from '../contracts/index.ts';
import { type Repair, type Step, REPAIR } from '../core/bench/index.ts';
import { type Region } from '../core/lineart/index.ts';
import { type Advice, mistakeById } from '../core/remedies/index.ts';
import { type PlannedPage, regionsOfThings } from '../plan/derive/index.ts';
import { thingsOf } from '../plan/index.ts';

/** What goes wrong in one spot takes so much of its region at most, mm2. */
const SPOT_MM2 = 60;

/** Whether a mistake lies in one spot, mostly of a thing beside the one that is worked on. */
export function isInASpot(kind: string): boolean {
  return mistakeById(kind).inASpot;
}

/** A mistake at the table: what happened on which thing, and the step during which it did. */
export interface Slip {
  /** Id of the kind of mistake. */
  kind: string;
  thingId: string;
  step: Pick<Step, 'thingId' | 'regionIds' | 'box' | 'coveredMm2'>;
}

/** The repairs that a remedy comes to. @param id is asked for the id of each, without its beginning */
export function repairsFor(
  { does, says }: Pick<Advice, 'does' | 'says'>,
  slip: Slip,
  plan: Plan,
  { regions }: PlannedPage,
  id: () => string,
): Repair[] {
  const things = regionsOfThings(plan, regions);
  const whole = `${slip.kind.charAt(0).toUpperCase()}${slip.kind.slice(1)}. ${says}`;
  return does.flatMap(({ thingId, purpose = whole, ...deed }) => {
    const on = thingId ?? slip.thingId;
    const own = things.get(on) ?? [];
    if (own.length === 0) return [];
    const place = thingId === null ? placeOf(slip, own) : spotIn(own.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a)));
    return [{ ...deed, ...place, id: `${REPAIR}${id()}`, thingId: on, purpose }];
  });
}

/** Where a mistake lies: in a spot of the region nearest to the step, or all over it. */
function placeOf({ kind, thingId, step }: Slip, own: readonly Region[]): Pick<Repair, 'regionIds' | 'areaMm2'> {
  if (!isInASpot(kind)) {
    const regions = thingId === step.thingId ? own.filter(({ id }) => step.regionIds.includes(id)) : own;
    const areaMm2 = regions.reduce((sum, region) => sum + region.areaMm2, 0);
    return {
      regionIds: regions.map(({ id }) => id),
      areaMm2: Math.min(areaMm2, thingId === step.thingId ? (step.coveredMm2 ?? areaMm2) : areaMm2),
    };
  }
  const { box } = step;
  const away = ({ pole }: Region) =>
    box === undefined ? 0 : Math.hypot(pole.x - (box.left + box.right) / 2, pole.y - (box.top + box.bottom) / 2);
  return spotIn(own.reduce((a, b) => (away(b) < away(a) ? b : a)));
}

function spotIn({ id, areaMm2 }: Region): Pick<Repair, 'regionIds' | 'areaMm2'> {
  return { regionIds: [id], areaMm2: Math.min(SPOT_MM2, areaMm2) };
}

/** Repairs that are not done yet, on regions that are still there to be coloured and with pencils that are known. */
export function repairsLeft(
  plan: Plan,
  { regions }: PlannedPage,
  finished: readonly FinishedLayer[],
  isKnown: (pencil: string) => boolean,
): Repair[] {
  const done = new Set(finished.map(({ layerId }) => layerId));
  const things = regionsOfThings(plan, regions);
  return thingsOf(plan).flatMap(({ id: thingId, repairs }) => {
    const own = new Set(things.get(thingId)?.map(({ id }) => id));
    return repairs.flatMap((repair) => {
      const regionIds = repair.regionIds.filter((id) => own.has(id));
      const isLeft = !done.has(repair.id) && regionIds.length > 0 && isKnown(repair.pencil);
      return isLeft ? [{ ...repair, thingId, regionIds }] : [];
    });
  });
}

/** The thing that lies along the longest border of some regions and is not theirs; null where there is none. */
export function thingBeside(
  regionIds: readonly number[],
  plan: Pick<Plan, 'things'>,
  { neighbours }: PlannedPage,
): string | null {
  const own = new Set(regionIds);
  const along = new Map<number, number>();
  for (const { a, b, lengthMm } of neighbours) {
    if (own.has(a) !== own.has(b)) along.set(own.has(a) ? b : a, (along.get(own.has(a) ? b : a) ?? 0) + lengthMm);
  }
  let best: { id: string; lengthMm: number } | null = null;
  for (const { id, regionIds: theirs } of thingsOf(plan)) {
    if (theirs.some((region) => own.has(region))) continue;
    const lengthMm = theirs.reduce((sum, region) => sum + (along.get(region) ?? 0), 0);
    if (lengthMm > (best?.lengthMm ?? 0)) best = { id, lengthMm };
  }
  return best?.id ?? null;
}
