import type { Plan } from '../contracts/index.ts';
import { type Region } from '../core/lineart/index.ts';
import { proposeForm } from '../core/light/index.ts';
import { type Recipe, compileRecipe, withEdits } from '../core/recipe/index.ts';

/** The regions of each thing that are to be coloured, by thing id. */
export function regionsOfThings(plan: Plan, regions: readonly Region[]): Map<string, Region[]> {
  const byId = new Map(regions.flatMap((region) => (plan.uses[region.id] ? [] : [[region.id, region]])));
  return new Map(plan.things.map((thing) => [thing.id, thing.regionIds.flatMap((id) => byId.get(id) ?? [])]));
}

/** The recipe of each thing that has regions and a family whose pencils are all in the tray. */
export function deriveRecipes(
  plan: Plan,
  regions: readonly Region[],
  hasPencil: (id: string) => boolean,
): Map<string, Recipe> {
  const recipes = new Map<string, Recipe>();
  for (const [id, own] of regionsOfThings(plan, regions)) {
    const family = plan.families[id];
    if (!family || own.length === 0 || !Object.values(family).every(hasPencil)) continue;
    const recipe = compileRecipe('blend', plan.layers.schools[id] ?? plan.layers.school, family, { regions: own });
    recipes.set(id, withEdits(recipe, plan.layers.edits[id]));
  }
  return recipes;
}

/** The form of each thing: chosen, or proposed from what it is made of and where its largest region lies. */
export function deriveForms(plan: Plan, regions: readonly Region[]): Map<string, string> {
  const forms = new Map<string, string>();
  const materials = new Map(plan.things.map(({ id, material }) => [id, material]));
  for (const [id, own] of regionsOfThings(plan, regions)) {
    if (own.length) forms.set(id, plan.forms[id] ?? proposeForm(own, plan.page, materials.get(id)));
  }
  return forms;
}
