import { type Hand, passesFor } from '../laydown/index.ts';
import { type Recipe } from './recipe.ts';

/** A recipe in a person's hand: one that presses more softly than a name means goes over more often, and the other way round. */
export function countedForHand(recipe: Recipe, hand: Hand): Recipe {
  const layers = recipe.layers.map((layer) => {
    const passes = layer.tool ? layer.passes : passesFor(layer.passes, layer.pressure, hand);
    return passes === layer.passes ? layer : { ...layer, passes };
  });
  const changed = layers.some((layer, i) => layer !== recipe.layers[i]);
  return changed ? { ...recipe, layers, notes: [...recipe.notes, 'Passes are counted for your hand.'] } : recipe;
}
