import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { eq } from 'drizzle-orm';
import { type AsyncZippable, zip } from 'fflate';
import Papa from 'papaparse';
import type { RegionsMeta, SheetState } from '../../contracts/index.ts';
import { type DrawnGroup, regionsSvg } from '../../core/formats/index.ts';
import { type PageIndex } from '../../core/lineart/index.ts';
import { readBlob } from '../db/blobs.ts';
import { type Database } from '../db/open-database.ts';
import { sheets } from '../db/schema.ts';
import { orNotFound } from '../refused.ts';
import { readRecord } from './bench.ts';
import { readNotebook } from './notebook.ts';
import { readIndex, readRegions } from './regions.ts';
import { sheetState } from './sheets.ts';
import { aboutRegion, thingsOf } from '../../plan/index.ts';

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
  orNotFound(row, 'This sheet is not on the desk.');
  const sheet = await sheetState(db, id);
  const [original, picture] = [await readBlob(db, row.originalHash), await readBlob(db, row.pictureHash)];
  const files: Record<string, Uint8Array> = {
    [`original.${ENDINGS[original.mime] ?? 'bin'}`]: original.bytes,
    'page.png': picture.bytes,
    'plan.json': text(JSON.stringify({ title: sheet.title, plan: sheet.plan }, null, 1)),
    'record.json': text(
      JSON.stringify({ steps: await readRecord(db, id), notebook: await readNotebook(db, id) }, null, 1),
    ),
    'things.csv': text(thingsCsv(sheet)),
  };
  if (sheet.plan.regionsFrom) {
    const meta = await readRegions(db, id);
    files['regions.csv'] = text(regionsCsv(sheet, meta));
    files['regions.svg'] = text(svgOf(sheet, await readIndex(db, id)));
  }
  const contents = Object.entries(files).map(([name, bytes]) => ({
    name,
    bytes: bytes.length,
    sha256: createHash('sha256').update(bytes).digest('hex'),
  }));
  files['contents.json'] = text(JSON.stringify({ harmonie: EDITION, sheet: sheet.title, contents }, null, 1));
  const packed = await promisify<AsyncZippable, Uint8Array>(zip)(files);
  return { fileName: `${sheet.title.replace(/[^\p{L}\p{N} ,.-]/gu, '_')}.zip`, bytes: packed };
}

function text(of: string): Uint8Array {
  return new TextEncoder().encode(of);
}

function thingsCsv({ plan }: SheetState): string {
  return Papa.unparse(
    thingsOf(plan).map(({ id, name, regionIds, material, natural, focus, importance, within, guessed }, place) => ({
      'front to back': place + 1,
      id,
      name,
      material,
      natural,
      focus,
      importance,
      'part of': within,
      guessed,
      regions: regionIds.join(' '),
    })),
  );
}

function regionsCsv({ plan }: SheetState, { regions }: RegionsMeta): string {
  const thingOf = new Map(thingsOf(plan).flatMap(({ name, regionIds }) => regionIds.map((id) => [id, name] as const)));
  return Papa.unparse(
    regions.map((region) => ({
      id: region.id,
      thing: thingOf.get(region.id) ?? '',
      'area mm2': round(region.areaMm2),
      'usable width mm': round(region.usableWidthMm),
      'length mm': round(region.lengthMm),
      'breadth mm': round(region.breadthMm),
      'axis degrees': round(region.axisDegrees),
      shape: region.shape,
      holes: region.holes,
      'x mm': round(region.pole.x),
      'y mm': round(region.pole.y),
      use: aboutRegion(plan, region.id).use ?? '',
    })),
  );
}

function round(value: number): number {
  return Math.round(100 * value) / 100;
}

function svgOf({ title, plan }: SheetState, { pixelsPerMm, regions, rings }: PageIndex): string {
  const inThings = new Set(thingsOf(plan).flatMap(({ regionIds }) => regionIds));
  const drawn = (ids: readonly number[]) => ids.map((id) => ({ id, rings: rings[id] }));
  const rest = regions.flatMap(({ id }) => (inThings.has(id) ? [] : [id]));
  const groups: DrawnGroup[] = [
    ...(rest.length ? [{ name: '', regions: drawn(rest) }] : []),
    ...[...thingsOf(plan)].reverse().map(({ name, regionIds }) => ({ name, regions: drawn(regionIds) })),
  ];
  return regionsSvg({ title, ...plan.page, pixelsPerMm }, groups);
}
