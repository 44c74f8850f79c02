import { and, asc, eq } from 'drizzle-orm';
import type { NewSwatch, Swatch, Tool } from '../../contracts/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { pencils, swatches, tools } from '../db/schema.ts';
import { Refused, found } from '../refused.ts';

/** Every patch of a pencil that an instrument has read, in the order in which they were read. */
export async function listSwatches(db: Querying, trayId: string, pencilId: string): Promise<Swatch[]> {
  await pencilOf(db, trayId, pencilId);
  const rows = await db
    .select()
    .from(swatches)
    .where(eq(swatches.pencilId, pencilId))
    .orderBy(asc(swatches.at), asc(swatches.id));
  return rows.map(({ at, ...row }) => ({ ...row, at: at.toISOString() }));
}

/** Keeps the reading of a patch. The same reading sent twice stands once. */
export async function addSwatch(db: Database, trayId: string, pencilId: string, swatch: NewSwatch): Promise<Swatch[]> {
  return db.transaction(async (tx) => {
    await pencilOf(tx, trayId, pencilId);
    try {
      paperById(swatch.paper);
    } catch {
      throw new Refused(422, 'The paper of this swatch is not one that is known here.');
    }
    await tx
      .insert(swatches)
      .values({ ...swatch, pencilId, origin: 'own' })
      .onConflictDoNothing();
    return listSwatches(tx, trayId, pencilId);
  });
}

async function pencilOf(db: Querying, trayId: string, pencilId: string) {
  const [pencil] = await db
    .select()
    .from(pencils)
    .where(and(eq(pencils.id, pencilId), eq(pencils.trayId, trayId)));
  return found(pencil, 'This pencil is not in the tray.');
}

/** Pens and tools beside the pencils of a tray. */
export async function listTools(db: Querying, trayId: string): Promise<Tool[]> {
  const rows = await db.select().from(tools).where(eq(tools.trayId, trayId)).orderBy(asc(tools.place));
  return rows.map(({ content, origin }) => ({ ...content, origin }));
}
