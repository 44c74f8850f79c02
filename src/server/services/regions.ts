import { promisify } from 'node:util';
import { gunzip, gunzipSync, gzip } from 'node:zlib';
import { and, eq } from 'drizzle-orm';
import { RegionsMeta, type SheetState } from '../../contracts/index.ts';
import { PageIndex } from '../../core/lineart/index.ts';
import { type MappedRegions, edited, readPlan, takeRegions } from '../../plan/index.ts';
import { keepBlob, readBlob } from '../db/blobs.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { commands, regionMaps, sheets } from '../db/schema.ts';
import { Refused, orNotFound } from '../refused.ts';
import { lastDone, sheetForUpdate, sheetState, storePlan } from './sheets.ts';

/** The regions of a sheet. @param from what they were found from; those that are present where it is not said */
export async function readRegions(db: Querying, sheetId: string, from?: string): Promise<RegionsMeta> {
  const { meta } = await storedMap(db, sheetId, from);
  // Regions found before anything was read in colour lack it.
  return { ...meta, seen: meta.seen ?? null };
}

/** The page index of a sheet. @param from as for readRegions */
export async function readIndex(db: Querying, sheetId: string, from?: string): Promise<PageIndex> {
  return indexOf(db, await storedMap(db, sheetId, from));
}

/** The page index of a sheet as it is kept: gzip of its bytes. @param from as for readRegions */
export async function readPackedIndex(db: Querying, sheetId: string, from?: string): Promise<Uint8Array> {
  const map = await storedMap(db, sheetId, from);
  const { mime, bytes } = await readBlob(db, map.indexHash);
  return mime === INDEX ? bytes : packIndex(await indexOf(db, map));
}

/** What an index is kept as. Before there was one, the raster of labels alone was kept, as plain gzip. */
const INDEX = 'application/vnd.harmonie.page-index+gzip';

/** An index as it is kept and sent. */
export function packIndex({ data }: PageIndex): Promise<Uint8Array> {
  return promisify<ArrayBuffer, { level: number }, Uint8Array>(gzip)(data, { level: 4 });
}

type StoredMap = typeof regionMaps.$inferSelect;

async function storedMap(db: Querying, sheetId: string, from?: string): Promise<StoredMap> {
  const [row] = await db
    .select({ map: regionMaps })
    .from(regionMaps)
    .innerJoin(sheets, eq(sheets.id, regionMaps.sheetId))
    .where(and(eq(regionMaps.sheetId, sheetId), eq(regionMaps.from, from ?? sheets.regionsFrom)));
  return orNotFound(row?.map, 'The regions of this sheet have not been found yet.');
}

async function indexOf(db: Querying, { indexHash, meta }: StoredMap): Promise<PageIndex> {
  const { mime, bytes } = await readBlob(db, indexHash);
  const data = new Uint8Array(await promisify<Uint8Array, Buffer>(gunzip)(bytes)).buffer;
  return mime === INDEX
    ? PageIndex.from(data)
    : PageIndex.ofLabels({ ...meta, seen: meta.seen ?? null, labels: new Uint16Array(data) });
}

/**
 * Stores the regions found on a sheet. What hung on those of before goes over to them as a part of the last change: it
 * is what they were found anew for, and taking it back brings the regions of before back too.
 * @param from what they were found from
 * @param packed gzip of the bytes of their page index
 */
export async function storeRegions(
  db: Database,
  sheetId: string,
  from: string,
  packed: Uint8Array,
): Promise<SheetState> {
  return db.transaction(async (tx) => {
    const sheet = await sheetForUpdate(tx, sheetId);
    const index = unpack(packed, 2 * sheet.pictureWidth * sheet.pictureHeight);
    if (index.width !== sheet.pictureWidth || index.height !== sheet.pictureHeight) {
      throw new Refused(422, 'These regions were found on a picture of another size.');
    }
    const { width, height, pixelsPerMm, regions, neighbours, alike, doubts, seen, labels } = index;
    const meta = RegionsMeta.parse({ from, width, height, pixelsPerMm, regions, neighbours, alike, doubts, seen });
    const before = await mapFrom(tx, sheetId, sheet.regionsFrom);
    const row = { count: regions.length, meta, indexHash: await keepBlob(tx, INDEX, packed) };
    await tx
      .insert(regionMaps)
      .values({ sheetId, from: meta.from, ...row })
      .onConflictDoUpdate({ target: [regionMaps.sheetId, regionMaps.from], set: row });
    const { plan, patches, inverse } = edited(readPlan(sheet.plan), (draft) =>
      takeRegions(draft, before, { meta, labels }),
    );
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

async function mapFrom(tx: Querying, sheetId: string, from: string | null): Promise<MappedRegions | null> {
  if (from === null) return null;
  const [map] = await tx
    .select()
    .from(regionMaps)
    .where(and(eq(regionMaps.sheetId, sheetId), eq(regionMaps.from, from)));
  return map ? { meta: map.meta, labels: (await indexOf(tx, map)).labels } : null;
}

/** Tables beside the rasters take no more than this, bytes: 65,000 regions with their borders. */
const MOST_TABLES = 64e6;

function unpack(packed: Uint8Array, raster: number): PageIndex {
  const bytes = (() => {
    try {
      return gunzipSync(packed, { maxOutputLength: 2 * raster + MOST_TABLES });
    } catch {
      throw new Refused(422, 'The regions of this page cannot be read.');
    }
  })();
  try {
    return PageIndex.from(new Uint8Array(bytes).buffer);
  } catch (error) {
    if (error instanceof RangeError) throw new Refused(422, error.message);
    throw error;
  }
}
