import type { BenchPlan, FinishedLayer, NewBenchPlan, Pencil, Plan } from '../contracts/index.ts';
import {
  ASSUMED_RATES,
  type Rates,
  type RuledSteps,
  type Sequence,
  type SequenceAsWished,
  type Step,
  makeSteps,
  ruledSteps,
  withRepairs,
} from '../core/bench/index.ts';
import { type PencilOptics, isLoose, paperById, pencilOptics } from '../core/laydown/index.ts';
import { type Recipe } from '../core/recipe/index.ts';
import { wearOf } from '../core/tray/index.ts';
import { asTrayPencil } from '../pencils/index.ts';
import { repairsLeft } from './repairs.ts';
import { type PlannedPage, regionsOfThings } from '../plan/derive/index.ts';
import { thingsOf } from '../plan/index.ts';

/** The layer model that plans are made with; stored with each plan. */
const MODEL = 'layers 1, rates 2';

type StepPencil = Pick<Pencil, 'id' | 'code' | 'colour' | 'type' | 'opacity' | 'hardness'>;

/** What is needed of pencils and of the hand to make steps. */
export interface AtHand {
  pencils: ReadonlyMap<string, StepPencil>;
  /** L* of each pencil's laydown on the sheet's paper, by id. */
  valueOf(pencil: string): number;
  /** How fast this person works; default as assumed. */
  rates?: Rates;
}

/** Softness of lead from which what it lays smears under a hand, where it is not loose anyway. */
const SOFT_LEAD = 0.3;

/**
 * The steps that a sheet's layers and repairs come to, without what stands as done, waiting only for each other; and what
 * of the rules of craft could not be kept.
 * @param finished layers that stand as done, over all orders that were made so far
 */
export function openSteps(
  plan: Plan,
  page: PlannedPage,
  recipes: ReadonlyMap<string, Recipe>,
  { pencils, valueOf, rates }: AtHand,
  finished: readonly FinishedLayer[],
): RuledSteps {
  const isFinished = finishedOn(finished);
  const things = [...regionsOfThings(plan, page.regions)].flatMap(([id, regions]) => {
    const recipe = recipes.get(id);
    const isDone = (layerId: string, region: number) => isFinished(id, layerId, region);
    return recipe ? [{ id, regions, recipe, isDone }] : [];
  });
  const paper = paperById(plan.page.paper);
  const optics = new Map<string, PencilOptics>();
  const opticsOf = (id: string) => {
    const pencil = pencils.get(id);
    if (pencil && !optics.has(id)) optics.set(id, pencilOptics(asTrayPencil(pencil)));
    return optics.get(id);
  };
  const steps = makeSteps(things, {
    valueOf,
    rates,
    pointsOf({ pencil, pressure, passes }, areaMm2) {
      const known = opticsOf(pencil);
      const hardness = pencils.get(pencil)?.hardness ?? undefined;
      return known
        ? wearOf(known, paper, new Array<typeof pressure>(passes).fill(pressure), areaMm2, hardness).points
        : 0;
    },
    isSoft({ pencil, pressure, tool }) {
      const known = pencils.get(pencil);
      if (!known || tool || pressure === 'burnish') return false;
      return isLoose(known.type) || (known.hardness !== null && known.hardness <= SOFT_LEAD);
    },
  });
  const ruled = ruledSteps(
    steps,
    { things: thingsOf(plan), borders: page.neighbours },
    plan.bench.rules,
    plan.bench.openThings === 1,
  );
  const repairs = repairsLeft(plan, page, finished, (pencil) => pencils.has(pencil));
  const regions = new Map(page.regions.map((region) => [region.id, region]));
  return { ...ruled, steps: withRepairs(ruled.steps, repairs, regions, { valueOf, rates }) };
}

/** Tells of a layer of a thing whether it stands as done on a region. */
function finishedOn(finished: readonly FinishedLayer[]) {
  const done = new Set(
    finished.flatMap(({ thingId, layerId, regionIds }) => regionIds.map((region) => `${thingId}/${layerId} ${region}`)),
  );
  return (thingId: string, layerId: string, region: number) => done.has(`${thingId}/${layerId} ${region}`);
}

/** Ids of the steps that stand as done on all of their regions, whatever order they were done by. */
export function stepsFinished(
  steps: readonly Pick<Step, 'id' | 'thingId' | 'layerId' | 'regionIds'>[],
  finished: readonly FinishedLayer[],
): Set<string> {
  const isFinished = finishedOn(finished);
  const done = steps.filter((step) => step.regionIds.every((id) => isFinished(step.thingId, step.layerId, id)));
  return new Set(done.map(({ id }) => id));
}

/** An order of steps as it is stored, with the pencils and things that it speaks of as they are now. */
export function benchPlanFrom(
  id: string,
  sheet: { plan: Plan; revision: number },
  { steps, leftOut, rates = ASSUMED_RATES }: RuledSteps & { rates?: Rates },
  order: Pick<
    Sequence,
    | 'order'
    | 'openThings'
    | 'alike'
    | 'sittings'
    | 'pickUps'
    | 'minutes'
    | 'lowerBound'
    | 'sharpenings'
    | 'smearCm2'
    | 'mostOpen'
  > &
    Partial<Pick<SequenceAsWished, 'openTried'>>,
  pencilById: ReadonlyMap<string, Pick<Pencil, 'id' | 'code' | 'name' | 'ownName' | 'colour'>>,
): NewBenchPlan {
  const used = [...new Set(steps.map((step) => step.pencil))];
  const things = new Set(steps.map((step) => step.thingId));
  const { pickUps, minutes, lowerBound, sharpenings, smearCm2, mostOpen } = order;
  return {
    id,
    planRevision: sheet.revision,
    model: MODEL,
    openThings: Math.min(things.size, Math.max(order.openThings, mostOpen)),
    openTried: (order.openTried ?? []).map(({ openThings, ...tried }) => {
      return { ...tried, openThings: openThings === Infinity ? ('any' as const) : openThings };
    }),
    alike: order.alike.map((things) => [...things]),
    steps: steps.map((step) => ({ ...step, regionIds: [...step.regionIds], after: [...step.after] })),
    order: [...order.order],
    sittings: order.sittings.map((sitting) => ({ steps: [...sitting.steps], minutes: sitting.minutes })),
    pickUps,
    minutes,
    lowerBound,
    sharpenings,
    smearCm2,
    leftOut: [...leftOut],
    ratesFrom: rates.learntFrom,
    pickUpSeconds: rates.pickUpSeconds,
    madeFor: wishedOf(sheet.plan),
    pencils: used.flatMap((pencilId) => {
      const pencil = pencilById.get(pencilId);
      if (!pencil) return [];
      return [{ id: pencilId, code: pencil.code, name: pencil.ownName || pencil.name, colour: pencil.colour }];
    }),
    things: thingsOf(sheet.plan)
      .filter((thing) => things.has(thing.id))
      .map(({ id: thingId, name }) => ({ id: thingId, name })),
  };
}

function wishedOf({ bench: { openThings, sittingMinutes, hand, rules } }: Plan) {
  return { openThings, sittingMinutes, hand, rules };
}

/** What was wished, to be compared: a stored order may name its parts in another order. */
function told({ openThings, sittingMinutes, hand, rules }: NonNullable<BenchPlan['madeFor']>): string {
  return [openThings, sittingMinutes, hand, ...rules].join();
}

/**
 * Whether an order no longer is what would be made now: what is left to lay has changed, or what was wished of the order.
 * @param recipes as they stand now
 * @param finished layers that stand as done
 * @param isKnown whether a pencil lies in the tray
 */
export function isOutOfDate(
  order: BenchPlan,
  sheet: { plan: Plan; revision: number },
  page: PlannedPage,
  recipes: ReadonlyMap<string, Recipe>,
  finished: readonly FinishedLayer[],
  isKnown: (pencil: string) => boolean,
): boolean {
  if (order.planRevision === sheet.revision) return false;
  if (!order.madeFor || told(order.madeFor) !== told(wishedOf(sheet.plan))) return true;
  const isFinished = finishedOn(finished);
  const inWords = (
    thingId: string,
    layerId: string,
    how: Pick<Step, 'pencil' | 'pressure' | 'passes'>,
    region: number,
  ) => [thingId, layerId, how.pencil, how.pressure, how.passes, region].join(' ');
  const ordered = new Set(
    order.steps.flatMap((step) =>
      step.regionIds
        .filter((region) => !isFinished(step.thingId, step.layerId, region))
        .map((region) => inWords(step.thingId, step.layerId, step, region)),
    ),
  );
  const wanted = [...regionsOfThings(sheet.plan, page.regions)].flatMap(([id, regions]) =>
    (recipes.get(id)?.layers ?? []).flatMap((layer) =>
      regions
        .filter((region) => region.usableWidthMm >= layer.fromWidthMm && !isFinished(id, layer.id, region.id))
        .map((region) => inWords(id, layer.id, layer, region.id)),
    ),
  );
  const repairs = repairsLeft(sheet.plan, page, finished, isKnown).flatMap(({ regionIds, ...repair }) =>
    regionIds.map((region) => inWords(repair.thingId, repair.id, repair, region)),
  );
  const all = [...wanted, ...repairs];
  return all.length !== ordered.size || all.some((each) => !ordered.has(each));
}
