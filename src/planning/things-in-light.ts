import type { Plan, RegionsMeta } from '../contracts/index.ts';
import { type Region } from '../core/lineart/index.ts';
import { type FormedThing, type Lighting, proposeForm, sourcesOf } from '../core/light/index.ts';
import { effectById } from '../core/recipe/index.ts';
import { regionsOfThings } from './things-regions.ts';

/** A page as plans speak of it. */
export type PlannedPage = Pick<RegionsMeta, 'regions' | 'neighbours'>;

/** All lights of a plan, and its water line. */
export function lightingOf({ light, glows, horizon }: Pick<Plan, 'light' | 'glows' | 'horizon'>): Lighting {
  return { main: light, glows, waterLineMm: horizon.waterLineMm, rippled: horizon.rippled };
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

/** Every thing as light needs it, from what lies in front to what lies behind. */
export function formedThings(plan: Plan, { regions, neighbours }: PlannedPage): FormedThing[] {
  const forms = deriveForms(plan, regions);
  const sources = sourcesOf(plan.things, { regions, neighbours }, lightingOf(plan));
  return plan.things.map(({ id, regionIds, material }) => ({
    id,
    regionIds,
    material,
    form: forms.get(id) ?? 'raised',
    sources: sources.get(id) ?? [],
    ...finishOf(plan.layers.effects[id]),
  }));
}

/** How a thing shines whose effect was chosen; by its material where none was. */
function finishOf(effect: string | undefined): Pick<FormedThing, 'finish'> {
  return effect === undefined ? {} : { finish: effectById(effect).finish ?? null };
}
