import type { BenchState, NewBenchPlan, Pencil, Plan } from '../contracts/index.ts';
import { type Sequence, type Step, makeSteps } from '../core/bench/index.ts';
import { type Region } from '../core/lineart/index.ts';
import { type Recipe } from '../core/recipe/index.ts';
import { regionsOfThings } from './things-regions.ts';

/** The layer model and rates that plans are made with; stored with each plan. */
const MODEL = 'layers 1, rates 1';

/**
 * The steps that a sheet's layers come to, without those that stand as done, waiting only for each other.
 * @param valueOf L* of each pencil's laydown on the sheet's paper, by id
 */
export function openSteps(
  plan: Plan,
  regions: readonly Region[],
  recipes: ReadonlyMap<string, Recipe>,
  valueOf: (pencil: string) => number,
  { done }: Pick<BenchState, 'done'>,
): Step[] {
  const doneIds = new Set(done.map((entry) => entry.stepId));
  const things = [...regionsOfThings(plan, regions)].flatMap(([id, own]) => {
    const recipe = recipes.get(id);
    return recipe ? [{ id, regions: own, recipe }] : [];
  });
  return makeSteps(things, valueOf)
    .filter((step) => !doneIds.has(step.id))
    .map((step) => ({ ...step, after: step.after.filter((id) => !doneIds.has(id)) }));
}

/** An order of steps as it is stored, with the pencils and things that it speaks of as they are now. */
export function benchPlanFrom(
  id: string,
  sheet: { plan: Plan; revision: number },
  steps: readonly Step[],
  { order, sittings, pickUps, minutes, lowerBound }: Sequence,
  pencilById: ReadonlyMap<string, Pick<Pencil, 'id' | 'code' | 'name' | 'ownName' | 'colour'>>,
): NewBenchPlan {
  const used = [...new Set(steps.map((step) => step.pencil))];
  const things = new Set(steps.map((step) => step.thingId));
  return {
    id,
    planRevision: sheet.revision,
    model: MODEL,
    openThings: sheet.plan.bench.openThings,
    steps: steps.map((step) => ({ ...step, regionIds: [...step.regionIds], after: [...step.after] })),
    order: [...order],
    sittings: sittings.map((sitting) => ({ steps: [...sitting.steps], minutes: sitting.minutes })),
    ...{ pickUps, minutes, lowerBound },
    pencils: used.flatMap((pencilId) => {
      const pencil = pencilById.get(pencilId);
      if (!pencil) return [];
      return [{ id: pencilId, code: pencil.code, name: pencil.ownName || pencil.name, colour: pencil.colour }];
    }),
    things: sheet.plan.things
      .filter((thing) => things.has(thing.id))
      .map(({ id: thingId, name }) => ({ id: thingId, name })),
  };
}
