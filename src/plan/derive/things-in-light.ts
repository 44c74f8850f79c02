import type { Plan, RegionsMeta } from '../../contracts/index.ts';
import { type Region } from '../../core/lineart/index.ts';
import { type FieldSamples, type FormedThing, proposeForm, sourcesOf } from '../../core/light/index.ts';
import { type LitRegion, effectById } from '../../core/recipe/index.ts';
import { regionsOfThings } from './things-regions.ts';
import { lightingOf, thingsOf } from '../select.ts';

/** A region as plans speak of it, with what light does on it where that is known. */
export type PlannedRegion = Region & Pick<LitRegion, 'lit'>;

/** A page as plans speak of it. */
export interface PlannedPage extends Pick<RegionsMeta, 'neighbours'>, Partial<Pick<RegionsMeta, 'seen'>> {
  regions: readonly PlannedRegion[];
}

/** A page whose regions know what light does on them. */
export function withLight<Page extends PlannedPage>(page: Page, samples: ReadonlyMap<number, FieldSamples>): Page {
  return { ...page, regions: page.regions.map((region) => ({ ...region, lit: samples.get(region.id) })) };
}

/** The form of each thing: chosen, or proposed from what it is made of and where its largest region lies. */
export function deriveForms(plan: Plan, regions: readonly Region[]): Map<string, string> {
  const forms = new Map<string, string>();
  const materials = new Map(thingsOf(plan).map(({ id, material }) => [id, material]));
  for (const [id, own] of regionsOfThings(plan, regions)) {
    if (own.length) forms.set(id, plan.things[id]?.form ?? proposeForm(own, plan.page, materials.get(id)));
  }
  return forms;
}

/** Every thing as light needs it, from what lies in front to what lies behind. */
export function formedThings(plan: Plan, { regions, neighbours }: PlannedPage): FormedThing[] {
  const forms = deriveForms(plan, regions);
  const sources = sourcesOf(thingsOf(plan), { regions, neighbours }, lightingOf(plan));
  return thingsOf(plan).map(({ id, regionIds, material, effect }) => ({
    id,
    regionIds,
    material,
    form: forms.get(id) ?? 'raised',
    sources: sources.get(id) ?? [],
    ...finishOf(effect),
  }));
}

/** How a thing shines whose effect was chosen; by its material where none was. */
function finishOf(effect: string | null): Pick<FormedThing, 'finish'> {
  return effect === null ? {} : { finish: effectById(effect).finish ?? null };
}
