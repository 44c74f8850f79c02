import { createHash } from 'node:crypto';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { type SheetState, newThing } from '../../contracts/index.ts';
import { addThing, readPlan, thingsOf } from '../../plan/index.ts';
import { readBlob } from '../db/blobs.ts';
import { type Database } from '../db/open-database.ts';
import { sheets } from '../db/schema.ts';
import { NO_SHEET, Refused, refuseMissing } from '../refused.ts';
import { readRegions } from './regions.ts';
import { editPlan } from './sheets.ts';

/**
 * Names the things of a sheet by the key that came with it: each region goes to the thing whose mark the key shows at
 * the region's widest place. Things that the person has named already keep their regions.
 */
export async function nameFromKey(db: Database, sheetId: string, commandId: string): Promise<SheetState> {
  const [sheet] = await db.select().from(sheets).where(eq(sheets.id, sheetId));
  refuseMissing(sheet, NO_SHEET);
  if (!sheet.keyHash || !sheet.keyThings)
    throw new Refused(404, 'No key came with this page; name its things by hand.');
  const { regions, pixelsPerMm } = await readRegions(db, sheetId);
  const { bytes } = await readBlob(db, sheet.keyHash);
  const { data, info } = await sharp(bytes).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  const taken = new Set(thingsOf(readPlan(sheet.plan)).flatMap((thing) => thing.regionIds));
  const byMark = new Map<string, number[]>();
  for (const { id, pole } of regions) {
    if (taken.has(id)) continue;
    const at = 3 * (Math.floor(pole.y * pixelsPerMm) * info.width + Math.floor(pole.x * pixelsPerMm));
    const mark = '#' + Buffer.from(data.subarray(at, at + 3)).toString('hex');
    byMark.set(mark, [...(byMark.get(mark) ?? []), id]);
  }
  // The key is drawn from back to front, things are listed from front to back.
  const named = [...sheet.keyThings].reverse().flatMap(({ mark, name, focus, natural, form, material = null }) => {
    const regionIds = byMark.get(mark);
    if (!regionIds) return [];
    return [newThing({ id: idFor(sheetId, mark), name, regionIds, focus, natural, material, form })];
  });
  if (named.length === 0) throw new Refused(422, 'The key names nothing here that has no name yet.');
  const label = `name ${named.length} things from the page's key`;
  return editPlan(db, sheetId, { id: commandId, stage: 'sheet', label }, (plan) => {
    for (const thing of named) addThing(plan, thing);
  });
}

/** The same thing of a sheet's key gets the same id each time. */
function idFor(sheetId: string, mark: string): string {
  return 'k' + createHash('sha256').update(`${sheetId}${mark}`).digest('hex').slice(0, 11);
}
