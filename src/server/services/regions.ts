import { gunzipSync } from 'node:zlib';
import { eq } from 'drizzle-orm';
import { Plan, type PlanChange, type RegionsMeta, type SheetState, type Thing } from '../../contracts/index.ts';
import { NO_REGION } from '../../core/lineart/index.ts';
import { keepBlob, readBlob } from '../db/blobs.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { commands, regionMaps, sheets } from '../db/schema.ts';
import { Refused, found } from '../refused.ts';
import { sheetState, storePlan } from './sheets.ts';

/** The stored regions of a sheet. */
export async function readRegions(db: Querying, sheetId: string): Promise<RegionsMeta> {
  const { meta } = await stored(db, sheetId);
  // Regions found before anything was read in colour lack it.
  return { ...meta, seen: meta.seen ?? null };
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
 * Stores the regions found on a sheet. Where regions stood before, what was decided for them goes over to the new
 * ones, in the plan and in everything that undo remembers.
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
    if (before && before.labelsHash !== labelsHash) {
      const { bytes } = await readBlob(tx, before.labelsHash);
      const old = new Uint16Array(new Uint8Array(gunzipSync(bytes)).buffer);
      if (old.length === raster.length) await carryOver(tx, sheet, old, raster);
    }
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

/** Regions that share this much of the smaller of the two are the same, or one a part of the other. */
const SAME_SHARE = 0.6;

/** Sections of a plan that speak of regions by their ids. */
const ABOUT_REGIONS = ['things', 'uses', 'grounds', 'textures'] as const;

/**
 * What was decided for regions goes over to those found anew: each new region takes the thing and the use of the old
 * one that it shares most paper with, so that both halves of a region that was parted stay in its thing.
 */
async function carryOver(tx: Querying, sheet: typeof sheets.$inferSelect, old: Uint16Array, now: Uint16Array) {
  const oldOf = sameRegions(old, now);
  const movedThings = (things: Thing[]): Thing[] => {
    const home = new Map(things.flatMap(({ id, regionIds }) => regionIds.map((regionId) => [regionId, id] as const)));
    return things.flatMap((thing) => {
      const regionIds = [...oldOf].flatMap(([id, was]) => (home.get(was) === thing.id ? [id] : []));
      return regionIds.length ? [{ ...thing, regionIds }] : [];
    });
  };
  const movedOver = <T>(byRegion: Record<string, T>): Record<string, T> =>
    Object.fromEntries([...oldOf].flatMap(([id, was]) => (byRegion[was] ? [[String(id), byRegion[was]]] : [])));
  const moved = <T extends PlanChange>(change: T): T => ({
    ...change,
    ...(change.things && { things: movedThings(change.things) }),
    ...(change.uses && { uses: movedOver(change.uses) }),
    ...(change.grounds && { grounds: movedOver(change.grounds) }),
    ...(change.textures && { textures: movedOver(change.textures) }),
  });
  for (const command of await tx.select().from(commands).where(eq(commands.sheetId, sheet.id))) {
    if (!ABOUT_REGIONS.some((section) => command.before[section])) continue;
    const both = { before: moved(command.before), after: moved(command.after) };
    await tx.update(commands).set(both).where(eq(commands.id, command.id));
  }
  await storePlan(tx, sheet.id, moved(Plan.parse(sheet.plan)), sheet.revision + 1);
}

/** For each new region, in order of id, the old one that it is the same as, or a part or the larger part of. */
function sameRegions(old: Uint16Array, now: Uint16Array): Map<number, number> {
  const shared = new Map<number, number>();
  const [oldArea, newArea] = [new Float64Array(65_536), new Float64Array(65_536)];
  for (let i = 0; i < now.length;) {
    const [was, is] = [old[i], now[i]];
    const from = i;
    while (i < now.length && old[i] === was && now[i] === is) i++;
    oldArea[was] += i - from;
    newArea[is] += i - from;
    if (was === 0 || is === 0 || was === NO_REGION || is === NO_REGION) continue;
    shared.set(is * 65_536 + was, (shared.get(is * 65_536 + was) ?? 0) + i - from);
  }
  const best = new Map<number, { was: number; area: number }>();
  for (const [key, area] of shared) {
    const [is, was] = [Math.floor(key / 65_536), key % 65_536];
    if (area < SAME_SHARE * Math.min(oldArea[was], newArea[is])) continue;
    if (area > (best.get(is)?.area ?? 0)) best.set(is, { was, area });
  }
  return new Map([...best].sort(([p], [q]) => p - q).map(([is, { was }]) => [is, was]));
}
