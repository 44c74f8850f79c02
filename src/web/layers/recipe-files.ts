import { type NewRecipeCard, RecipeCardFile } from '../../contracts/index.ts';
import { effectById, schoolById } from '../../core/recipe/index.ts';

type Content = Omit<NewRecipeCard, 'id'>;

/** A recipe card as the text of a JSON file, and its name. */
export function fileOfRecipe({ name, card }: Content): { name: string; text: string } {
  const file: RecipeCardFile = { kind: 'harmonie recipe', version: 1, name, card };
  return { name: `${name.replace(/[\\/:*?"<>|]/g, ' ')}.json`, text: JSON.stringify(file, null, 2) };
}

/**
 * Reads a recipe card out of a JSON file.
 * @throws RangeError with a sentence for a file that holds none, or one of an effect or a school that is not known here
 */
export function readRecipeFile(text: string): Content {
  let json: unknown;
  try {
    json = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new RangeError('This JSON file is broken off or damaged.');
  }
  const file = RecipeCardFile.safeParse(json);
  if (!file.success) throw new RangeError(`This JSON file is no recipe: ${file.error.issues[0].message}`);
  const { name, card } = file.data;
  effectById(card.effect);
  schoolById(card.school);
  return { name, card };
}
