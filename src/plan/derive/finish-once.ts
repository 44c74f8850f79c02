import { LRUCache } from 'lru-cache';
import { type PencilDeclaration, type Pressure } from '../../core/laydown/index.ts';
import { type FieldSamples } from '../../core/light/index.ts';
import { type Recipe, type RegionContext, finishRecipe } from '../../core/recipe/index.ts';
import { type KeyedGround, OpticsStore } from '../../core/render/index.ts';

/** A change of a plan leaves most recipes as they were: what finished them is kept. */
const finished = new LRUCache<string, Pick<Recipe, 'layers' | 'notes'>>({ max: 1500 });

const store = new OpticsStore();

/** Light on a region stands for itself: its samples are made anew when it changes. */
const numbers = new WeakMap<FieldSamples, number>();
let last = 0;

function numberOf(lit: FieldSamples | undefined): number {
  if (!lit) return 0;
  let number = numbers.get(lit);
  if (number === undefined) numbers.set(lit, (number = ++last));
  return number;
}

/**
 * The same as {@link finishRecipe}, worked out once for like recipes on like ground under the same light.
 * @param declared what is known of a pencil on this paper
 */
export function finishOnce(
  recipe: Recipe,
  context: RegionContext,
  declared: (pencil: string) => PencilDeclaration,
  { ground, key }: KeyedGround,
  hardest?: Pressure,
): Recipe {
  const { effect, layers, notes } = recipe;
  const keyed = new Map(layers.map(({ pencil }) => [pencil, store.of(declared(pencil))]));
  const of = JSON.stringify([
    effect,
    layers,
    notes,
    [...keyed.values()].map((each) => each.key),
    key,
    hardest,
    context.form,
    context.regions.map(({ usableWidthMm, areaMm2, lit }) => [usableWidthMm, areaMm2, numberOf(lit)]),
  ]);
  let own = finished.get(of);
  if (!own) {
    const optics = new Map([...keyed].map(([pencil, each]) => [pencil, each.optics]));
    const done = finishRecipe(recipe, context, optics, ground, hardest);
    finished.set(of, (own = { layers: done.layers, notes: done.notes }));
  }
  return { ...recipe, ...own };
}
