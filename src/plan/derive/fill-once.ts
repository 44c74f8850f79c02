import { LRUCache } from 'lru-cache';
import { type Lead, type Pressure } from '../../core/laydown/index.ts';
import { type FieldSamples } from '../../core/light/index.ts';
import { type LitRegion, type Recipe, fillPaper } from '../../core/recipe/index.ts';
import { type KeyedGround } from '../../core/render/index.ts';

/** A change of a plan leaves most recipes as they were: what closed their paper is kept. */
const filled = new LRUCache<string, Recipe['layers']>({ max: 1500 });

/** Light on a region stands for itself: its samples are made anew when it changes. */
const numbers = new WeakMap<FieldSamples, number>();
let last = 0;

function numberOf(lit: FieldSamples | undefined): number {
  if (!lit) return 0;
  let number = numbers.get(lit);
  if (number === undefined) numbers.set(lit, (number = ++last));
  return number;
}

/** The same as {@link fillPaper}, worked out once for like recipes on like ground under the same light. */
export function fillOnce(
  recipe: Recipe,
  regions: readonly LitRegion[],
  leadOf: (pencil: string) => Lead | undefined,
  { ground, key }: KeyedGround,
  hardest?: Pressure,
): Recipe {
  const { effect, layers } = recipe;
  const of = JSON.stringify([
    effect,
    layers,
    layers.map(({ pencil }) => leadOf(pencil)),
    key,
    hardest,
    regions.map(({ usableWidthMm, areaMm2, lit }) => [usableWidthMm, areaMm2, numberOf(lit)]),
  ]);
  let own = filled.get(of);
  if (!own) filled.set(of, (own = fillPaper(recipe, { regions }, leadOf, ground, hardest).layers));
  return { ...recipe, layers: own };
}
