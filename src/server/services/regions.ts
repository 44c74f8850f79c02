import { gunzipSync } from 'node:zlib';
import { eq } from 'drizzle-orm';
import { type PlanChange, type RegionsMeta, type SheetState, type Thing } from '../../contracts/index.ts';
import { NO_REGION } from '../../core/lineart/index.ts';
import { keepBlob, readBlob } from '../db/blobs.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { commands, regionMaps, sheets } from '../db/schema.ts';
import { Refused, found } from '../refused.ts';
import { sheetState, storePlan } from './sheets.ts';

/** The stored regions of a sheet. */
export async function readRegions(db: Querying, sheetId: string): Promise<RegionsMeta> {
  return (await stored(db, sheetId)).meta;
}

/** The stored raster of region ids: gzip of 16-bit little-endian values, row by row. */
export async function readLabels(db: Querying, sheetId: string): Promise<Uint8Array> {
  return (await readBlob(db, (await stored(db, sheetId)).labelsHash)).bytes;
}

async function stored(db: Querying, sheetId: string) {
  const [map] = await db.select().from(regionMaps).where(eq(regionMaps.sheetId, sheetId));
  return found(map, 'The regions of this sheet have not been found yet.');
}

/**
 * Stores the regions found on a sheet. Where regions stood before, things keep theirs: each old region goes over to
 * the new one at its widest place, in the plan and in everything that undo remembers.
 * @param labels gzip of 16-bit little-endian labels as findRegions gives them, width x height
 */
export async function storeRegions(
  db: Database,
  sheetId: string,
  meta: RegionsMeta,
  labels: Uint8Array,
): Promise<SheetState> {
  const raster = unpack(labels, meta);
  return db.transaction(async (tx) => {
    const [sheet] = await tx.select().from(sheets).where(eq(sheets.id, sheetId)).for('update');
    found(sheet, 'This sheet is not on the desk.');
    if (meta.width !== sheet.pictureWidth || meta.height !== sheet.pictureHeight) {
      throw new Refused(422, 'These regions were found on a picture of another size.');
    }
    const [before] = await tx.select().from(regionMaps).where(eq(regionMaps.sheetId, sheetId));
    const labelsHash = await keepBlob(tx, 'application/gzip', labels);
    await tx
      .insert(regionMaps)
      .values({ sheetId, meta, labelsHash })
      .onConflictDoUpdate({ target: regionMaps.sheetId, set: { meta, labelsHash } });
    if (before && before.labelsHash !== labelsHash) await carryOver(tx, sheet, before.meta, raster);
    return sheetState(tx, sheetId);
  });
}

function unpack(labels: Uint8Array, { width, height, regions }: RegionsMeta): Uint16Array {
  const bytes = (() => {
    try {
      return gunzipSync(labels, { maxOutputLength: 2 * width * height });
    } catch {
      throw new Refused(422, 'The raster of regions cannot be read.');
    }
  })();
  if (bytes.length !== 2 * width * height) throw new Refused(422, 'The raster of regions is not as large as its page.');
  const raster = new Uint16Array(new Uint8Array(bytes).buffer);
  const highest = raster.reduce((a, b) => (b === NO_REGION ? a : Math.max(a, b)), 0);
  if (highest !== regions.length) throw new Refused(422, 'The raster of regions and their list do not agree.');
  return raster;
}

async function carryOver(tx: Querying, sheet: typeof sheets.$inferSelect, old: RegionsMeta, raster: Uint16Array) {
  const newId = new Map(
    old.regions.map(({ id, pole }) => {
      const x = Math.floor(pole.x * old.pixelsPerMm);
      const y = Math.floor(pole.y * old.pixelsPerMm);
      const now = raster[y * old.width + x] ?? 0;
      return [id, now === NO_REGION ? 0 : now];
    }),
  );
  const moved = (things: Thing[]): Thing[] => {
    const taken = new Set<number>();
    return things.flatMap((thing) => {
      const regionIds = thing.regionIds.flatMap((id) => {
        const now = newId.get(id) ?? 0;
        if (now === 0 || taken.has(now)) return [];
        taken.add(now);
        return [now];
      });
      return regionIds.length ? [{ ...thing, regionIds }] : [];
    });
  };
  const inChange = (change: PlanChange): PlanChange =>
    change.things ? { ...change, things: moved(change.things) } : change;
  for (const command of await tx.select().from(commands).where(eq(commands.sheetId, sheet.id))) {
    if (!command.before.things) continue;
    const both = { before: inChange(command.before), after: inChange(command.after) };
    await tx.update(commands).set(both).where(eq(commands.id, command.id));
  }
  await storePlan(tx, sheet.id, { ...sheet.plan, things: moved(sheet.plan.things) }, sheet.revision + 1);
}
