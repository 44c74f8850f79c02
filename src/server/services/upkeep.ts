import { sql } from 'drizzle-orm';
import { MOST_UNDO_BYTES } from '../../contracts/index.ts';
import { type Database } from '../db/open-database.ts';

/** What was cleared. */
export interface Cleared {
  changes: number;
  regionMaps: number;
  blobs: number;
}

/**
 * Clears what nothing leads to any more: the oldest changes of sheets whose undo has grown too large, regions that undo
 * cannot come back to, and pictures and rasters that no row names.
 * @param mostUndoBytes how much undo may remember of each sheet
 */
export async function clearUnused(db: Database, mostUndoBytes = MOST_UNDO_BYTES): Promise<Cleared> {
  return db.transaction(async (tx) => {
    const changes = await tx.execute(sql`
      delete from commands where seq in (
        select seq from (
          select seq, undone, sum(pg_column_size(patches) + pg_column_size(inverse))
            over (partition by sheet_id order by seq desc) as bytes
          from commands
        ) as log
        where bytes > ${mostUndoBytes} and not undone
      ) returning seq`);
    const regionMaps = await tx.execute(sql`
      delete from region_maps m where not exists (
        select 1 from sheets s where s.id = m.sheet_id and s.regions_from = m."from"
      ) and not exists (
        select 1 from commands c where c.sheet_id = m.sheet_id and (
          c.patches @> jsonb_build_array(jsonb_build_object('path', jsonb_build_array('regionsFrom'), 'value', m."from"))
          or c.inverse @> jsonb_build_array(jsonb_build_object('path', jsonb_build_array('regionsFrom'), 'value', m."from"))
        )
      ) returning "from"`);
    const blobs = await tx.execute(sql`
      delete from blobs b where not exists (
        select 1 from sheets s where b.hash in (s.original_hash, s.picture_hash, s.colours_hash, s.key_hash)
      ) and not exists (
        select 1 from region_maps m where m.index_hash = b.hash
      ) and not exists (
        select 1 from reference_pictures r where r.hash = b.hash
      ) returning hash`);
    return { changes: changes.rows.length, regionMaps: regionMaps.rows.length, blobs: blobs.rows.length };
  });
}

/** Clears what is unused and gives its room back. Nothing else can be read meanwhile: it is for quiet moments. */
export async function keepHouse(db: Database): Promise<Cleared> {
  const cleared = await clearUnused(db);
  await db.execute(sql`vacuum (full, analyze)`);
  return cleared;
}

/** Without a request for so long, the desk is quiet. */
const QUIET_MS = 5 * 60_000;

/**
 * Keeps house whenever the desk has been quiet for a while and something was changed since it was kept last.
 * @returns to be told of every request, and how to stop
 */
export function whenQuiet(db: Database, onFault: (fault: Error) => void, quietMs = QUIET_MS) {
  let waiting: NodeJS.Timeout | null = null;
  let isChanged = true;
  const wait = () => {
    if (waiting) clearTimeout(waiting);
    waiting = setTimeout(() => {
      if (!isChanged) return;
      isChanged = false;
      void keepHouse(db).catch(onFault);
    }, quietMs).unref();
  };
  wait();
  return {
    onRequest(changes: boolean) {
      isChanged ||= changes;
      wait();
    },
    stop: () => void (waiting && clearTimeout(waiting)),
  };
}
