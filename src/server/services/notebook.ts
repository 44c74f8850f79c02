import { eq, sql } from 'drizzle-orm';
import type { NewNote, Notebook, PracticeSeries } from '../../contracts/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { notes, practice, sheets, trials } from '../db/schema.ts';
import { NO_SHEET, refuseMissing } from '../refused.ts';

/** What was written down about a sheet beside its finished steps, oldest first. */
export async function readNotebook(db: Querying, sheetId: string): Promise<Notebook> {
  const byTime = <T extends { at: string }>(list: T[]) => list.sort((p, q) => (p.at < q.at ? -1 : 1));
  const noted = await db.select().from(notes).where(eq(notes.sheetId, sheetId));
  const tried = await db.select().from(trials).where(eq(trials.sheetId, sheetId));
  return {
    notes: byTime(noted.map(({ content, origin }) => ({ ...content, origin }))),
    trials: byTime(tried.map(({ content, origin }) => ({ ...content, origin }))),
  };
}

/** Writes a note down. The same note sent twice stands once. */
export async function addNote(db: Database, sheetId: string, note: NewNote): Promise<Notebook> {
  return db.transaction(async (tx) => {
    const [sheet] = await tx.select({ id: sheets.id }).from(sheets).where(eq(sheets.id, sheetId));
    refuseMissing(sheet, NO_SHEET);
    await tx.insert(notes).values({ id: note.id, sheetId, content: note, origin: 'own' }).onConflictDoNothing();
    return readNotebook(tx, sheetId);
  });
}

/** Every series of practice. */
export async function readPractice(db: Querying): Promise<PracticeSeries[]> {
  const rows = await db
    .select()
    .from(practice)
    .orderBy(sql`${practice.id}`);
  return rows.map(({ content, origin }) => ({ ...content, origin }));
}
