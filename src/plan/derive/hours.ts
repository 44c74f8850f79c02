import type { Plan, Thing } from '../../contracts/index.ts';
import { ASSUMED_RATES, type Rates, makeSteps } from '../../core/bench/index.ts';
import { type LostLayer, type Recipe, trimToMinutes } from '../../core/recipe/index.ts';
import { type PlannedRegion } from './things-in-light.ts';
import { regionsOfThings } from './things-regions.ts';
import { thingsOf } from '../select.ts';

/** What the layers of a page take, and what was left out to keep to the evenings wished for. */
export interface Hours {
  /** By thing id, as they are to be laid. */
  recipes: Map<string, Recipe>;
  /** Minutes at the table, one pick-up a step at most; before anything was left out, and after. */
  whole: number;
  minutes: number;
  lost: LostLayer[];
  /** How many finished steps the minutes were learnt from; 0: they are assumed. */
  ratesFrom: number;
}

/** How much more a thing is worth than one of usual importance. */
const IMPORTANCE: Record<Thing['importance'], number> = { little: 0.5, usual: 1, much: 2 };
const FOCUS = 2;

/** Keeps a page's recipes to so many evenings, where that is wished. */
export function withinHours(
  plan: Plan,
  regions: readonly PlannedRegion[],
  recipes: ReadonlyMap<string, Recipe>,
  rates: Rates = ASSUMED_RATES,
): Hours {
  const own = regionsOfThings(plan, regions);
  const things = thingsOf(plan).flatMap(({ id, importance, focus }) => {
    const recipe = recipes.get(id);
    if (!recipe) return [];
    const steps = makeSteps([{ id, regions: own.get(id) ?? [], recipe }], { valueOf: () => 0, rates });
    const minutes = new Map<string, number>();
    for (const { layerId, minutes: own } of steps) {
      minutes.set(layerId, (minutes.get(layerId) ?? rates.pickUpSeconds / 60) + own);
    }
    const area = (own.get(id) ?? []).reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
    const worth = IMPORTANCE[importance] * (focus ? FOCUS : 1) * Math.sqrt(area);
    return [{ id, recipe, worth, minutes }];
  });
  const whole = things.reduce((sum, { minutes }) => sum + [...minutes.values()].reduce((p, q) => p + q, 0), 0);
  const { learntFrom: ratesFrom } = rates;
  const { evenings } = plan.hours;
  if (evenings === null) return { recipes: new Map(recipes), whole, minutes: whole, lost: [], ratesFrom };
  const { recipes: trimmed, lost } = trimToMinutes(things, evenings * plan.bench.sittingMinutes);
  return {
    recipes: trimmed,
    whole,
    minutes: whole - lost.reduce((sum, { minutes }) => sum + minutes, 0),
    lost,
    ratesFrom,
  };
}
