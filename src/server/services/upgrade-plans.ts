import { asc, eq, sql } from 'drizzle-orm';
import { upgradeHistory } from '../../plan/index.ts';
import { type Database } from '../db/open-database.ts';
import { commands, sheets } from '../db/schema.ts';

/**
 * Brings plans that were stored in an older version up to date, with everything that undo remembers of them. One that
 * cannot be read stays as it is and takes no other down.
 */
export async function upgradePlans(db: Database): Promise<void> {
  const older = await db
    .select({ id: sheets.id })
    .from(sheets)
    .where(sql`${sheets.plan} -> 'version' IS NULL`);
  for (const { id } of older) await upgradePlan(db, id).catch(() => undefined);
}

async function upgradePlan(db: Database, id: string): Promise<void> {
  await db.transaction(async (tx) => {
    const [sheet] = await tx.select().from(sheets).where(eq(sheets.id, id));
    if (!sheet) return;
    const log = await tx.select().from(commands).where(eq(commands.sheetId, id)).orderBy(asc(commands.seq));
    const sections = log.map(({ before, after, undone }) => ({ before: before ?? {}, after: after ?? {}, undone }));
    const { plan, changes } = upgradeHistory(sheet.plan, sections, sheet.regionsFrom);
    await tx.update(sheets).set({ plan }).where(eq(sheets.id, id));
    for (const [i, { id: commandId }] of log.entries()) {
      const change = changes[i];
      const own = eq(commands.id, commandId);
      if (change)
        await tx
          .update(commands)
          .set({ ...change, before: null, after: null })
          .where(own);
      else await tx.delete(commands).where(own);
    }
  });
}
