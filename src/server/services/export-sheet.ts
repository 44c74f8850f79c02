import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { eq } from 'drizzle-orm';
import { type AsyncZippable, zip } from 'fflate';
import { SHEET_PARTS, safeName } from '../../formats/index.ts';
import { readBlob } from '../db/blobs.ts';
import { type Database } from '../db/open-database.ts';
import { sheets } from '../db/schema.ts';
import { NO_SHEET, refuseMissing } from '../refused.ts';
import { readRecord } from './bench.ts';
import { readNotebook } from './notebook.ts';
import { readIndex } from './regions.ts';
import { sheetState } from './sheets.ts';

/** Version of what an exported sheet holds, raised when a part changes its meaning. */
const EDITION = 1;
const ENDINGS: Record<string, string> = {
  'image/png': 'png',
  'image/jpeg': 'jpg',
  'image/webp': 'webp',
  'image/tiff': 'tif',
  'image/svg+xml': 'svg',
  'application/pdf': 'pdf',
};

/** A sheet as a file to keep or to pass on. */
export interface ExportedSheet {
  fileName: string;
  bytes: Uint8Array;
}

/**
 * Packs a sheet into a zip of open formats: the page as it was brought in and as it is worked on, everything decided,
 * its regions as SVG and as a table, its things as a table, and its record; with a list of what is in it and checksums.
 */
export async function exportSheet(db: Database, id: string): Promise<ExportedSheet> {
  const [row] = await db.select().from(sheets).where(eq(sheets.id, id));
  refuseMissing(row, NO_SHEET);
  const sheet = await sheetState(db, id);
  const [original, picture] = [await readBlob(db, row.originalHash), await readBlob(db, row.pictureHash)];
  const files: Record<string, Uint8Array> = {
    [`original.${ENDINGS[original.mime] ?? 'bin'}`]: original.bytes,
    'page.png': picture.bytes,
  };
  const whole = {
    sheet,
    page: sheet.plan.regionsFrom ? await readIndex(db, id) : null,
    steps: await readRecord(db, id),
    notebook: await readNotebook(db, id),
  };
  for (const { fileName, write } of SHEET_PARTS) {
    const written = write(whole);
    if (written !== null) files[fileName] = text(written);
  }
  const contents = Object.entries(files).map(([name, bytes]) => ({
    name,
    bytes: bytes.length,
    sha256: createHash('sha256').update(bytes).digest('hex'),
  }));
  files['contents.json'] = text(JSON.stringify({ harmonie: EDITION, sheet: sheet.title, contents }, null, 1));
  const packed = await promisify<AsyncZippable, Uint8Array>(zip)(files);
  return { fileName: `${safeName(sheet.title)}.zip`, bytes: packed };
}

function text(of: string): Uint8Array {
  return new TextEncoder().encode(of);
}
