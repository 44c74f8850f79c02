import { z } from 'zod';
import { Id } from '../core/primitives/schemas.ts';
import { Card } from '../core/recipe/schemas.ts';
import { Name, Time } from './primitives.ts';

/** A recipe kept apart from the thing that it was made for; pencils are told by their places in a family. */
export const NewRecipeCard = z.object({
  id: Id,
  name: Name,
  card: Card,
});
export type NewRecipeCard = z.infer<typeof NewRecipeCard>;

export const RecipeCard = NewRecipeCard.extend({ at: Time });
export type RecipeCard = z.infer<typeof RecipeCard>;

/** A recipe card as a JSON file: the same, with a mark that says what it is. */
export const RecipeCardFile = NewRecipeCard.omit({ id: true }).extend({
  kind: z.literal('harmonie recipe'),
  version: z.literal(1),
});
export type RecipeCardFile = z.infer<typeof RecipeCardFile>;
