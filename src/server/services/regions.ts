import { gunzipSync } from 'node:zlib';
import { and, eq } from 'drizzle-orm';
import { type RegionsMeta, type SheetState } from '../../contracts/index.ts';
import { NO_REGION } from '../../core/lineart/index.ts';
import { type FoundRegions, edited, readPlan, takeRegions } from '../../plan/index.ts';
import { keepBlob, readBlob } from '../db/blobs.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { commands, regionMaps, sheets } from '../db/schema.ts';
import { Refused, orNotFound } from '../refused.ts';
import { lastDone, sheetForUpdate, sheetState, storePlan } from './sheets.ts';

/** The regions of a sheet. @param from what they were found from; those that are present where it is not said */
export async function readRegions(db: Querying, sheetId: string, from?: string): Promise<RegionsMeta> {
  const { meta } = await stored(db, sheetId, from);
  // Regions found before anything was read in colour lack it.
  return { ...meta, seen: meta.seen ?? null };
}

/** The raster of a sheet's region ids: gzip of 16-bit little-endian values, row by row. @param from as for readRegions */
export async function readLabels(db: Querying, sheetId: string, from?: string): Promise<Uint8Array> {
  return (await readBlob(db, (await stored(db, sheetId, from)).labelsHash)).bytes;
}

async function stored(db: Querying, sheetId: string, from?: string) {
  const [row] = await db
    .select({ map: regionMaps })
    .from(regionMaps)
    .innerJoin(sheets, eq(sheets.id, regionMaps.sheetId))
    .where(and(eq(regionMaps.sheetId, sheetId), eq(regionMaps.from, from ?? sheets.regionsFrom)));
  return orNotFound(row?.map, 'The regions of this sheet have not been found yet.');
}

/**
 * Stores the regions found on a sheet. What hung on those of before goes over to them as a part of the last change: it
 * is what they were found anew for, and taking it back brings the regions of before back too.
 * @param labels gzip of 16-bit little-endian labels as findRegions gives them, width x height
 */
export async function storeRegions(
  db: Database,
  sheetId: string,
  meta: RegionsMeta,
  labels: Uint8Array,
): Promise<SheetState> {
  const now = { meta, labels: unpack(labels, meta) };
  return db.transaction(async (tx) => {
    const sheet = await sheetForUpdate(tx, sheetId);
    if (meta.width !== sheet.pictureWidth || meta.height !== sheet.pictureHeight) {
      throw new Refused(422, 'These regions were found on a picture of another size.');
    }
    const before = await regionsFrom(tx, sheetId, sheet.regionsFrom);
    const row = { count: meta.regions.length, meta, labelsHash: await keepBlob(tx, 'application/gzip', labels) };
    await tx
      .insert(regionMaps)
      .values({ sheetId, from: meta.from, ...row })
      .onConflictDoUpdate({ target: [regionMaps.sheetId, regionMaps.from], set: row });
    const { plan, patches, inverse } = edited(readPlan(sheet.plan), (draft) => takeRegions(draft, before, now));
    if (patches.length === 0) return sheetState(tx, sheetId);
    const [last] = before ? await tx.select().from(commands).where(lastDone(sheetId)) : [];
    if (last) {
      const both = { patches: [...last.patches, ...patches], inverse: [...inverse, ...last.inverse] };
      await tx.update(commands).set(both).where(eq(commands.id, last.id));
    }
    await storePlan(tx, sheetId, plan, sheet.revision + 1);
    return sheetState(tx, sheetId);
  });
}

async function regionsFrom(tx: Querying, sheetId: string, from: string | null): Promise<FoundRegions | null> {
  if (from === null) return null;
  const [map] = await tx
    .select()
    .from(regionMaps)
    .where(and(eq(regionMaps.sheetId, sheetId), eq(regionMaps.from, from)));
  if (!map) return null;
  const { bytes } = await readBlob(tx, map.labelsHash);
  return { meta: map.meta, labels: new Uint16Array(new Uint8Array(gunzipSync(bytes)).buffer) };
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
