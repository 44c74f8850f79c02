import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { paperById } from '../../core/laydown/index.ts';
import { type GreyImage, inkShareOf, rgbOfRgba } from '../../core/lineart/index.ts';
import { OpenPage, renderSheet } from '../../core/render/index.ts';
import { type Run, checkpoints } from '../../core/run/index.ts';
import { laidLayers } from '../../order/index.ts';
import { asTrayPencil, paperModelOf } from '../../pencils/index.ts';
import { deriveRecipes, formedThings, groundsOf, laidSheet, pageInLight } from '../../plan/derive/index.ts';
import { readBlob } from '../db/blobs.ts';
import { type Database } from '../db/open-database.ts';
import { sheets } from '../db/schema.ts';
import { NO_SHEET, refuseMissing } from '../refused.ts';
import { benchState, ratesOf } from './bench.ts';
import { printOnPaper } from './print-on-paper.ts';
import { readIndex } from './regions.ts';
import { sheetState } from './sheets.ts';
import { listFits } from './swatches.ts';
import { listPencils } from './trays.ts';

/** RGB pixels of a page on its paper. */
export interface PagePixels {
  width: number;
  height: number;
  data: Uint8Array;
}

/**
 * A sheet as it lies on the table: its print on its paper, coloured as far as its steps are done.
 * @throws CancelledError when the run is cancelled
 */
export async function colouredPage(db: Database, sheetId: string, run: Run): Promise<PagePixels> {
  const checkpoint = checkpoints(run);
  const state = await sheetState(db, sheetId);
  const [sheet] = await db.select().from(sheets).where(eq(sheets.id, sheetId));
  refuseMissing(sheet, NO_SHEET);
  await checkpoint(0.05, 'opening the book');
  const { bytes } = await readBlob(db, sheet.pictureHash);
  const { data: grey, info } = await sharp(bytes).toColourspace('b-w').raw().toBuffer({ resolveWithObject: true });
  const { width, height } = info;
  if (!state.plan.regionsFrom) return { width, height, data: printOnPaper(grey, state.plan.page.paper) };
  return rgbOfRgba(await laidColour(db, sheetId, { width, height, data: grey }, checkpoint));
}

async function laidColour(
  db: Database,
  sheetId: string,
  print: GreyImage,
  checkpoint: (share: number, doing: string) => Promise<void>,
) {
  const { plan, trayId } = await sheetState(db, sheetId);
  const index = await readIndex(db, sheetId);
  await checkpoint(0.3, 'looking at what is laid');
  const pencils = await listPencils(db, trayId);
  const stored = new Map(pencils.map((pencil) => [pencil.id, pencil]));
  const planned = paperModelOf(plan.page.paper, pencils, await listFits(db, trayId));
  const page = new OpenPage(index);
  const recipes = deriveRecipes(plan, pageInLight(page, plan), stored, await ratesOf(db, sheetId), planned);
  const bench = await benchState(db, sheetId);
  const done = new Set(bench.done.map((entry) => entry.stepId));
  const upTo = Object.fromEntries(
    [...recipes].map(([id, { layers }]) => [id, bench.plan ? laidLayers(id, layers, done, bench.plan.steps) : 0]),
  );
  await checkpoint(0.5, 'laying the pencils');
  const derived = {
    formed: formedThings(plan, index),
    recipes,
    grounds: groundsOf(plan, index.seen),
    paper: paperById(plan.page.paper),
    pencils: new Map([...stored].map(([id, pencil]) => [id, asTrayPencil(pencil)])),
  };
  return renderSheet(page, index.ink ?? inkShareOf(print), laidSheet(plan, derived, upTo), { step: 1 });
}
