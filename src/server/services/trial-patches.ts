import { and, asc, eq } from 'drizzle-orm';
import type { NewTrialPatch, TrialPatch } from '../../contracts/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { trialPatches } from '../db/schema.ts';
import { Refused } from '../refused.ts';
import { knownPaper } from './swatches.ts';
import { listPencils } from './trays.ts';

/** Every trial patch of a tray, the oldest first. */
export async function listTrials(db: Querying, trayId: string): Promise<TrialPatch[]> {
  const rows = await db
    .select()
    .from(trialPatches)
    .where(eq(trialPatches.trayId, trayId))
    .orderBy(asc(trialPatches.at), asc(trialPatches.id));
  return rows.map(({ content, origin, at }) => ({ ...content, trayId, origin, at: at.toISOString() }));
}

/** Keeps a trial patch, in place of the one with its id. */
export async function keepTrial(db: Database, trayId: string, content: NewTrialPatch): Promise<TrialPatch[]> {
  return db.transaction(async (tx) => {
    knownPaper(content.paper);
    const own = new Set((await listPencils(tx, trayId)).map(({ id }) => id));
    const used = content.steps.flatMap((step) => ('pencil' in step ? [step.pencil] : []));
    const taught = content.taught && content.taught !== 'hand' ? [content.taught.pencil] : [];
    if ([...used, ...taught].some((id) => !own.has(id))) {
      throw new Refused(422, 'This trial uses a pencil that is not in this tray.');
    }
    const [there] = await tx.select().from(trialPatches).where(eq(trialPatches.id, content.id));
    if (there && there.trayId !== trayId) throw new Refused(409, 'This trial belongs to another tray.');
    await tx
      .insert(trialPatches)
      .values({ id: content.id, trayId, content, origin: 'own' })
      .onConflictDoUpdate({ target: trialPatches.id, set: { content } });
    return listTrials(tx, trayId);
  });
}

/** Puts a trial patch away; keeping it again brings it back. */
export async function putTrialAway(db: Database, trayId: string, id: string): Promise<TrialPatch[]> {
  return db.transaction(async (tx) => {
    await tx.delete(trialPatches).where(and(eq(trialPatches.id, id), eq(trialPatches.trayId, trayId)));
    return listTrials(tx, trayId);
  });
}
