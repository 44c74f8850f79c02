import { desc, eq } from 'drizzle-orm';
import type { NewPalette, NewRecipeCard } from '../../contracts/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { palettes, recipeCards } from '../db/schema.ts';

/** Something that is kept by name, apart from the sheet that it was made for. */
export interface NamedStore<Content> {
  /** All of them, the newest first. */
  list(db: Querying): Promise<(Content & { at: string })[]>;
  /** Keeps one, in place of the one with its id. */
  keep(db: Database, content: Content): Promise<(Content & { at: string })[]>;
  /** Puts one away; keeping it again brings it back. */
  remove(db: Database, id: string): Promise<(Content & { at: string })[]>;
}

export const keptPalettes = shelfOf<NewPalette>(palettes);
export const keptRecipes = shelfOf<NewRecipeCard>(recipeCards);

function shelfOf<Content extends { id: string }>(kept: typeof palettes | typeof recipeCards): NamedStore<Content> {
  // The tables have the same columns but for the kind of their content.
  const table = kept as typeof palettes;
  const list = async (db: Querying) => {
    const rows = await db.select().from(table).orderBy(desc(table.at), desc(table.id));
    return rows.map(({ content, at }) => ({ ...(content as unknown as Content), at: at.toISOString() }));
  };
  return {
    list,
    keep: (db, given) =>
      db.transaction(async (tx) => {
        const content = given as unknown as NewPalette;
        await tx
          .insert(table)
          .values({ id: content.id, content, origin: 'own' })
          .onConflictDoUpdate({ target: table.id, set: { content } });
        return list(tx);
      }),
    remove: (db, id) =>
      db.transaction(async (tx) => {
        await tx.delete(table).where(eq(table.id, id));
        return list(tx);
      }),
  };
}
