/** recipes: the kinds of file that a recipe card is taken away as and brought in from. */
import { readAs } from '../file-format.ts';
import { type RecipeContent, json } from './json.ts';

export { type RecipeContent } from './json.ts';

export const RECIPE_FORMATS = [json] as const;

/** Reads a recipe card out of a file. @throws RangeError with a sentence for a file that holds none */
export function readRecipe(text: string): RecipeContent {
  return readAs(RECIPE_FORMATS, text, '');
}
