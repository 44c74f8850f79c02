import { type NewRecipeCard, RecipeCardFile } from '../../contracts/index.ts';
import { effectById, schoolById } from '../../core/recipe/index.ts';
import { type ReadableFormat } from '../file-format.ts';
import { jsonOf } from '../json-text.ts';

/** A kept recipe without its id. */
export type RecipeContent = Omit<NewRecipeCard, 'id'>;

/** A recipe card with all that is kept of it. It is refused where its effect or school is not known here. */
export const json: ReadableFormat<RecipeContent, RecipeContent> = {
  id: 'JSON',
  extension: 'json',
  mime: 'application/json',
  holds: 'everything',
  write({ name, card }) {
    const file: RecipeCardFile = { kind: 'harmonie recipe', version: 1, name, card };
    return JSON.stringify(file, null, 2);
  },
  recognises: () => true,
  read(text) {
    const file = RecipeCardFile.safeParse(jsonOf(text));
    if (!file.success) throw new RangeError(`This JSON file is no recipe: ${file.error.issues[0]?.message}`);
    const { name, card } = file.data;
    effectById(card.effect);
    schoolById(card.school);
    return { name, card };
  },
};
