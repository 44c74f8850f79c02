import { expect } from 'chai';
import type { z } from 'zod';
import type { Repair as CoreRepair, Step as CoreStep } from '../core/bench/index.ts';
import type { PaperFit, PencilFit } from '../core/laydown/index.ts';
import type { Glow, MainLight } from '../core/light/index.ts';
import type { Border, Doubt, Mend as CoreMend, Region } from '../core/lineart/index.ts';
import type { Wishes as CoreWishes } from '../core/palette/index.ts';
import type {
  Card,
  Family as CoreFamily,
  Layer as CoreLayer,
  LayerEdit as CoreLayerEdit,
  RecipeEdits as CoreRecipeEdits,
} from '../core/recipe/index.ts';
import type {
  Family,
  Lamp,
  Layer,
  LayerEdit,
  LightPlan,
  Mend,
  NewRecipeCard,
  NewTrayFit,
  Plan,
  RecipeEdits,
  RegionsMeta,
  Repair,
  Step,
  Thing,
  Wishes,
} from './index.ts';

/** Every field of a type, and of what lies in it, by its way there. */
type Fields<T> = T extends readonly (infer Item)[]
  ? `[]${Fields<Item>}`
  : T extends object
    ? { [K in keyof T & (string | number)]-?: `.${K}` | `.${K}${Fields<NonNullable<T[K]>>}` }[keyof T &
        (string | number)]
    : '';

/** What the first has and the second lacks. */
type Lacks<A, B> = Exclude<Fields<A>, Fields<B>>;

/**
 * Whether what is stored and what core computes with have the same fields. A schema drops what it does not name, so a field
 * that one side gains is lost on the way to the other: here it is a fault of the types instead, which names the field.
 */
function same<Stored, Computed>(
  ...lacking: [Lacks<Stored, Computed> | Lacks<Computed, Stored>] extends [never]
    ? []
    : [{ inStorage: Lacks<Computed, Stored>; inCore: Lacks<Stored, Computed> }]
): void {
  expect(lacking).to.deep.equal([]);
}

describe('what is stored has the fields that core computes with', () => {
  it('of recipes: layers, their zones, what a person changed in them, families and cards', () => {
    same<z.infer<typeof Layer>, CoreLayer>();
    same<z.infer<typeof LayerEdit>, CoreLayerEdit>();
    same<z.infer<typeof RecipeEdits>, CoreRecipeEdits>();
    same<z.infer<typeof Family>, CoreFamily>();
    same<NewRecipeCard['card'], Card>();
  });

  it('of light: the main light, and all that glows', () => {
    same<z.infer<typeof LightPlan>, MainLight>();
    same<Omit<Lamp, 'id' | 'pencil'> & { thingId: string | null }, Glow>();
    same<Omit<NonNullable<Thing['glow']>, 'pencil'>, Omit<Glow, 'thingId' | 'at'>>();
  });

  it('of pages: regions, borders, doubts and mends', () => {
    same<RegionsMeta['regions'][number], Region>();
    same<RegionsMeta['neighbours'][number], Border>();
    same<RegionsMeta['doubts'][number], Doubt>();
    same<Mend, CoreMend>();
  });

  it('of palettes: everything that a person wishes', () => {
    same<Omit<Wishes, 'anyNature'> & Plan['wheel'], Omit<CoreWishes, 'pinned'>>();
  });

  it('of the bench: steps and repairs', () => {
    same<Step, CoreStep>();
    same<z.infer<typeof Repair> & { thingId: string }, CoreRepair>();
  });

  it('of the tray: what swatches told of a paper and of its pencils', () => {
    same<NewTrayFit['fit'], PaperFit>();
    same<NewTrayFit['pencils'][number]['fit'], PencilFit>();
  });
});
