import { and, asc, eq } from 'drizzle-orm';
import sharp from 'sharp';
import type { Reference, ReferenceEdit } from '../../contracts/index.ts';
import { keepBlob, readBlob } from '../db/blobs.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { references, sheets } from '../db/schema.ts';
import { NO_SHEET, Refused, orNotFound, refuseMissing } from '../refused.ts';

/** Pinned pictures are looked at, not worked on: so many pixels on their longer side are enough. */
const LONGEST_SIDE = 2000;
const MOST_PIXELS = 100_000_000;
/** More than so many on one sheet hide each other. */
const MOST_PINNED = 60;

/** The pictures pinned to a sheet, the oldest first. */
export async function listReferences(db: Querying, sheetId: string): Promise<Reference[]> {
  const rows = await db
    .select()
    .from(references)
    .where(and(eq(references.sheetId, sheetId), eq(references.pinned, true)))
    .orderBy(asc(references.at), asc(references.id));
  return rows.map(({ id, thingId, name, width, height, hash, at }) => ({
    id,
    thingId,
    name,
    width,
    height,
    hash,
    at: at.toISOString(),
  }));
}

/**
 * Pins a picture. It is drawn anew at a size to look at, so that nothing of where and with what it was taken is kept.
 * @throws Refused with one sentence for a file that is no picture, is broken or far too large, and on a full sheet
 */
export async function pinReference(
  db: Database,
  sheetId: string,
  { id, name, thingId, file }: { id: string; name: string; thingId: string | null; file: Uint8Array },
): Promise<Reference[]> {
  const { data, info } = await sharp(file, { limitInputPixels: MOST_PIXELS, failOn: 'error' })
    .rotate()
    .flatten({ background: '#ffffff' })
    .resize({ width: LONGEST_SIDE, height: LONGEST_SIDE, fit: 'inside', withoutEnlargement: true })
    .jpeg({ quality: 86 })
    .toBuffer({ resolveWithObject: true })
    .catch(() => {
      throw new Refused(
        422,
        'This picture cannot be read, or has more than 100 megapixels. Save it as PNG, JPEG or WebP, and pin that.',
      );
    });
  return db.transaction(async (tx) => {
    const [sheet] = await tx.select({ id: sheets.id }).from(sheets).where(eq(sheets.id, sheetId)).for('update');
    refuseMissing(sheet, NO_SHEET);
    if ((await listReferences(tx, sheetId)).length >= MOST_PINNED) {
      throw new Refused(422, `${MOST_PINNED} pictures are pinned here already. Take one down first.`);
    }
    const hash = await keepBlob(tx, 'image/jpeg', data);
    await tx
      .insert(references)
      .values({ id, sheetId, thingId, name, hash, width: info.width, height: info.height })
      .onConflictDoNothing();
    return listReferences(tx, sheetId);
  });
}

/** Renames a pinned picture, pins it to another thing, or takes it down; what was taken down can be pinned again. */
export async function editReference(
  db: Database,
  sheetId: string,
  id: string,
  edit: ReferenceEdit,
): Promise<Reference[]> {
  const own = and(eq(references.id, id), eq(references.sheetId, sheetId));
  const [there] = await db.select({ id: references.id }).from(references).where(own);
  refuseMissing(there, 'This picture is not pinned here.');
  if (Object.keys(edit).length > 0) await db.update(references).set(edit).where(own);
  return listReferences(db, sheetId);
}

/** The picture itself. */
export async function readReference(db: Querying, sheetId: string, id: string) {
  const own = and(eq(references.id, id), eq(references.sheetId, sheetId));
  const [row] = await db.select({ hash: references.hash }).from(references).where(own);
  return readBlob(db, orNotFound(row, 'This picture is not pinned here.').hash);
}
