import type { Plan } from '../contracts/index.ts';
import { type Region } from '../core/lineart/index.ts';
import { proposeForm } from '../core/light/index.ts';
import { type Hours, withinHours } from './hours.ts';
import { regionsOfThings } from './things-regions.ts';
import { type Recipe, compileRecipe, pencilsOf, proposeEffect, withEdits } from '../core/recipe/index.ts';

/** The recipe of each thing that has regions and a family whose pencils are all in the tray, kept to the hours wished for. */
export function deriveRecipes(
  plan: Plan,
  regions: readonly Region[],
  hasPencil: (id: string) => boolean,
): Map<string, Recipe> {
  return deriveHours(plan, regions, hasPencil).recipes;
}

/** The same with the hours that they take, and what was left out to keep to those. */
export function deriveHours(plan: Plan, regions: readonly Region[], hasPencil: (id: string) => boolean): Hours {
  const recipes = new Map<string, Recipe>();
  for (const [id, own] of regionsOfThings(plan, regions)) {
    const family = plan.families[id];
    if (!family || own.length === 0 || !pencilsOf(family).every(hasPencil)) continue;
    const school = plan.layers.schools[id] ?? plan.layers.school;
    const recipe = compileRecipe(effectOf(plan, id), school, family, { regions: own });
    recipes.set(id, withEdits(recipe, plan.layers.edits[id]));
  }
  return withinHours(plan, regions, recipes);
}

/** What a thing is made to look like: chosen, or what it is made of asks for. */
export function effectOf({ layers, things }: Pick<Plan, 'layers' | 'things'>, thingId: string): string {
  return layers.effects[thingId] ?? proposeEffect(things.find(({ id }) => id === thingId)?.material ?? null);
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
