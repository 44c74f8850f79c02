import type { Plan } from '../../contracts/index.ts';
import { type Paper, type PencilDeclaration } from '../../core/laydown/index.ts';
import { type FormedThing } from '../../core/light/index.ts';
import { type Recipe } from '../../core/recipe/index.ts';
import { type LaidSheet, type RegionGround } from '../../core/render/index.ts';
import { lightingOf } from '../select.ts';

/** What a plan comes to on its page and in its tray. */
export interface DerivedSheet {
  /** Every thing with its form, from front to behind. */
  formed: readonly FormedThing[];
  /** The recipe of each thing that has a family, by thing id. */
  recipes: ReadonlyMap<string, Recipe>;
  grounds: ReadonlyMap<number, RegionGround>;
  paper: Paper;
  pencils: ReadonlyMap<string, PencilDeclaration>;
}

/** A sheet as pictures of it are painted. @param upTo layers laid by thing id; default all of everything */
export function laidSheet(
  plan: Pick<Plan, 'light' | 'things' | 'lamps' | 'horizon'>,
  { formed, recipes, grounds, paper, pencils }: DerivedSheet,
  upTo: Readonly<Record<string, number>> = {},
): LaidSheet {
  return {
    things: formed.map((thing) => ({ ...thing, recipe: recipes.get(thing.id) ?? null })),
    upTo,
    pencils,
    paper,
    grounds,
    lighting: lightingOf(plan),
    vanishing: plan.horizon.vanishing,
    lamp: null,
  };
}
