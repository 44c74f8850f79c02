import type { Plan, Thing } from '../../contracts/index.ts';
import { ASSUMED_RATES, type Rates } from '../../core/bench/index.ts';
import {
  type Recipe,
  compileRecipe,
  countedForHand,
  pencilsOf,
  proposeEffect,
  withEdits,
} from '../../core/recipe/index.ts';
import { RecipeContexts, type PencilsHere } from './recipe-contexts.ts';
import { type Hours, withinHours } from './hours.ts';
import { type PlannedPage, formedThings } from './things-in-light.ts';
import { regionsOfThings } from './things-regions.ts';
import { thingsOf } from '../select.ts';

/**
 * The recipe of each thing that has regions and a family whose pencils are all in the tray, kept to the hours wished for.
 * @param rates how fast this person works; default as assumed
 */
export function deriveRecipes(
  plan: Plan,
  page: PlannedPage,
  pencils: PencilsHere,
  rates: Rates = ASSUMED_RATES,
): Map<string, Recipe> {
  return deriveHours(plan, page, pencils, rates).recipes;
}

/** The same with the hours that they take, and what was left out to keep to those. */
export function deriveHours(plan: Plan, page: PlannedPage, pencils: PencilsHere, rates: Rates = ASSUMED_RATES): Hours {
  const recipes = new Map<string, Recipe>();
  const regions = regionsOfThings(plan, page.regions);
  const contexts = new RecipeContexts(plan, regions, formedThings(plan, page), pencils);
  for (const thing of thingsOf(plan)) {
    const { id, family, school, edits } = thing;
    if (!family || !regions.get(id)?.length || !pencilsOf(family).every((pencil) => pencils.has(pencil))) continue;
    const recipe = withEdits(
      countedForHand(
        compileRecipe(effectOf(thing, contexts), school ?? plan.school, family, contexts.forThing(id)),
        rates.hand ?? {},
      ),
      edits ?? undefined,
    );
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
