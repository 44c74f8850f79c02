import { desc, eq } from 'drizzle-orm';
import type { NewPalette, SavedPalette } from '../../contracts/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { palettes } from '../db/schema.ts';

/** Every kept palette, the newest first. */
export async function listPalettes(db: Querying): Promise<SavedPalette[]> {
  const rows = await db.select().from(palettes).orderBy(desc(palettes.at), desc(palettes.id));
  return rows.map(({ content, at }) => ({ ...content, at: at.toISOString() }));
}

/** Keeps a palette, in place of the one with its id. */
export async function keepPalette(db: Database, content: NewPalette): Promise<SavedPalette[]> {
  return db.transaction(async (tx) => {
    await tx
      .insert(palettes)
      .values({ id: content.id, content, origin: 'own' })
      .onConflictDoUpdate({ target: palettes.id, set: { content } });
    return listPalettes(tx);
  });
}

/** Puts a palette away; keeping it again brings it back. */
export async function putPaletteAway(db: Database, id: string): Promise<SavedPalette[]> {
  return db.transaction(async (tx) => {
    await tx.delete(palettes).where(eq(palettes.id, id));
    return listPalettes(tx);
  });
}
