import { type Pressure } from '../laydown/index.ts';
import { type Recipe } from './layer.ts';

/** What a person changed in one layer of a recipe. */
export interface LayerEdit {
  pressure?: Pressure;
  /** 1 to 6. */
  passes?: number;
}

/** A recipe with a person's changes to single layers, by layer id; changes to layers that it does not have are left out. */
export function withEdits(recipe: Recipe, edits: Readonly<Record<string, LayerEdit>> = {}): Recipe {
  return { ...recipe, layers: recipe.layers.map((layer) => ({ ...layer, ...edits[layer.id] })) };
}
