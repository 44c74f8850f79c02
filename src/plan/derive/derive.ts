import type { Plan, Thing } from '../../contracts/index.ts';
import { ASSUMED_RATES, type Rates } from '../../core/bench/index.ts';
import {
  type Recipe,
  compileRecipe,
  GENTLE,
  countedForHand,
  gentleRecipe,
  pencilsOf,
  proposeEffect,
  withEdits,
} from '../../core/recipe/index.ts';
import { type LaidOn, RecipeContexts, type PencilsHere } from './recipe-contexts.ts';
import { finishOnce } from './finish-once.ts';
import { groundsOf } from './grounds.ts';
import { type Hours, withinHours } from './hours.ts';
import { groundFinder } from '../../core/render/index.ts';
import { paperModelOf } from '../../pencils/index.ts';
import { type PlannedPage, formedThings } from './things-in-light.ts';
import { regionsOfThings } from './things-regions.ts';
import { thingsOf } from '../select.ts';

/**
 * The recipe of each thing that has regions and a family whose pencils are all in the tray, kept to the hours wished for.
 * @param rates how fast this person works; default as assumed
 * @param on the sheet's paper and the pencils on it, as swatches say; default as they are declared
 */
export function deriveRecipes(...of: Parameters<typeof deriveHours>): Map<string, Recipe> {
  return deriveHours(...of).recipes;
}

/** The same with the hours that they take, and what was left out to keep to those. */
export function deriveHours(
  plan: Plan,
  page: PlannedPage,
  pencils: PencilsHere,
  rates: Rates = ASSUMED_RATES,
  on: LaidOn = paperModelOf(plan.page.paper),
): Hours {
  const recipes = new Map<string, Recipe>();
  const regions = regionsOfThings(plan, page.regions);
  const contexts = new RecipeContexts(plan, regions, formedThings(plan, page), pencils, on);
  const groundOf = groundFinder(on.paper, groundsOf(plan, page.seen));
  const declared = (pencil: string) => on.trayPencil(pencils.get(pencil)!);
  const hardest = plan.hours.gentle ? GENTLE : undefined;
  for (const thing of thingsOf(plan)) {
    const { id, family, school, edits } = thing;
    if (!family || !regions.get(id)?.length || !pencilsOf(family).every((pencil) => pencils.has(pencil))) continue;
    const own = regions.get(id)!;
    const largest = own.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
    const context = contexts.forThing(id);
    const compiled = compileRecipe(effectOf(thing, contexts), school ?? plan.school, family, context);
    const counted = countedForHand(plan.hours.gentle ? gentleRecipe(compiled) : compiled, on.paper.hand ?? {});
    const finished = finishOnce(counted, context, declared, groundOf(largest.id), hardest);
    const recipe = withEdits(finished, edits ?? undefined);
    // A pencil that a person put in by hand may have left the tray since.
    recipes.set(id, { ...recipe, layers: recipe.layers.filter(({ pencil }) => pencils.has(pencil)) });
  }
  return withinHours(plan, page.regions, recipes, rates);
}

/** What each thing with regions is made to look like as long as nobody chooses: by what it is made of and how it is lit. */
export function proposedEffects(plan: Plan, page: PlannedPage, pencils: PencilsHere): Map<string, string> {
  const regions = regionsOfThings(plan, page.regions);
  const contexts = new RecipeContexts(plan, regions, formedThings(plan, page), pencils);
  return new Map(thingsOf(plan).map(({ id, material }) => [id, proposeEffect(material, contexts.litOf(id))]));
}

function effectOf({ id, effect, material }: Thing, contexts: RecipeContexts): string {
  return effect ?? proposeEffect(material, contexts.litOf(id));
}
