import { readFile } from 'node:fs/promises';
import { and, eq, ne, sql } from 'drizzle-orm';
import { nanoid } from 'nanoid';
import sharp from 'sharp';
import { type DemoState, USUAL_FINDING, emptyPlan } from '../../contracts/index.ts';
import { findRegions, inkShareOf } from '../../core/lineart/index.ts';
import { DEMO_TRAY, type DemoDesk, type DemoSheet, seedDemo } from '../../demo/index.ts';
import { OpenPage } from '../../core/render/index.ts';
import { pageInLight, regionsKey } from '../../plan/derive/index.ts';
import { keepBlob, readBlob } from '../db/blobs.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import {
  notes,
  pencils,
  practice,
  settings,
  sheets,
  swatchCards,
  swatches,
  tools,
  trays,
  trials,
} from '../db/schema.ts';
import { NO_SHEET, refuseMissing } from '../refused.ts';
import { logSteps, storeBenchPlan } from './bench.ts';
import { nameFromKey } from './page-key.ts';
import { packIndex, readIndex, readRegions, storeRegions } from './regions.ts';
import { editPlan, planColumns, sheetState } from './sheets.ts';

const LAID_OUT = 'demo laid out';
const REMOVED = 'removed';
/** What desks of before had instead of a number. */
const FIRST_EDITION = 'yes';

/**
 * The desk as the demo's seeder sees it. All rows are marked as demo, and what is there already stays as it is.
 * @param folder where the demo's drawn sheets lie
 */
export function demoDesk(db: Database, folder: URL): DemoDesk {
  const origin = 'demo' as const;
  return {
    async edition() {
      const [mark] = await db.select().from(settings).where(eq(settings.key, LAID_OUT));
      if (mark?.value === REMOVED) return null;
      return mark?.value === FIRST_EDITION ? 1 : Number(mark?.value ?? 0);
    },
    async addTray(id, name, added, beside) {
      await db.transaction(async (tx) => {
        await tx.insert(trays).values({ id, name, origin }).onConflictDoNothing();
        await tx
          .insert(pencils)
          .values(added.map((pencil, place) => ({ ...pencil, trayId: id, place, origin })))
          .onConflictDoNothing();
        await tx
          .insert(tools)
          .values(beside.map((content, place) => ({ id: content.id, trayId: id, place, content, origin })))
          .onConflictDoNothing();
      });
    },
    async addSwatches(added) {
      await db.transaction(async (tx) => {
        for (let from = 0; from < added.length; from += 500) {
          const rows = added.slice(from, from + 500).map((swatch) => ({ ...swatch, origin }));
          await tx.insert(swatches).values(rows).onConflictDoNothing();
        }
      });
    },
    async addCards(trayId, cards) {
      const rows = cards.map((card) => ({ ...card, pencilIds: [...card.pencilIds], trayId, origin }));
      await db.insert(swatchCards).values(rows).onConflictDoNothing();
    },
    addSheet: (sheet) => addSheet(db, folder, sheet),
    findAndName: (sheetId) => findAndName(db, sheetId),
    changePlan: (sheetId, label, edit) => editPlan(db, sheetId, { id: nanoid(), stage: 'wheel', label }, edit),
    async pageInLight(sheetId) {
      const { plan } = await sheetState(db, sheetId);
      return pageInLight(new OpenPage(await readIndex(db, sheetId)), plan);
    },
    async addBench(sheetId, plan, log) {
      await storeBenchPlan(db, sheetId, plan);
      if (log.length > 0) await logSteps(db, sheetId, log);
    },
    async addNotebook(sheetId, noted, tried) {
      await db.insert(notes).values(noted.map((content) => ({ id: content.id, sheetId, content, origin })));
      await db.insert(trials).values(tried.map((content) => ({ id: content.id, sheetId, content, origin })));
    },
    async addPractice(series) {
      const rows = series.map((content) => ({ id: content.id, content, origin }));
      await db.insert(practice).values(rows).onConflictDoNothing();
    },
    markLaidOut: (edition) => mark(db, String(edition)),
  };
}

async function mark(db: Querying, value: string): Promise<void> {
  await db
    .insert(settings)
    .values({ key: LAID_OUT, value })
    .onConflictDoUpdate({ target: settings.key, set: { value } });
}

async function addSheet(db: Database, folder: URL, sheet: DemoSheet): Promise<boolean> {
  const [there] = await db.select({ id: sheets.id }).from(sheets).where(eq(sheets.id, sheet.id));
  if (there) return false;
  const read = (name: string) => readFile(new URL(name, folder));
  const [original, picture, key] = await Promise.all([read(sheet.file), read(sheet.pictureFile), read(sheet.keyFile)]);
  const { width, height } = await sharp(picture).metadata();
  const { id, title, trayId, widthMm, heightMm, paper, things } = sheet;
  await db.transaction(async (tx) => {
    const originalHash = await keepBlob(tx, 'image/svg+xml', original);
    const pictureHash = await keepBlob(tx, 'image/png', picture);
    const keyHash = await keepBlob(tx, 'image/png', key);
    await tx
      .insert(sheets)
      .values({
        id,
        title,
        trayId,
        origin: 'demo',
        originalHash,
        pictureHash,
        keyHash,
        keyThings: [...things],
        pictureWidth: width,
        pictureHeight: height,
        ...planColumns(emptyPlan({ widthMm, heightMm, paper })),
      })
      .onConflictDoNothing();
  });
  return true;
}

/** What the Sheet stage does in the browser, done here: find the regions, keep them, name the things by the key. */
async function findAndName(db: Database, sheetId: string) {
  const [sheet] = await db.select().from(sheets).where(eq(sheets.id, sheetId));
  refuseMissing(sheet, NO_SHEET);
  const { bytes } = await readBlob(db, sheet.pictureHash);
  const { data, info } = await sharp(bytes).toColourspace('b-w').raw().toBuffer({ resolveWithObject: true });
  const { widthMm } = sheet.plan.page;
  const grey = { width: info.width, height: info.height, data: new Uint8Array(data) };
  const index = await findRegions(grey, { pixelsPerMm: info.width / widthMm });
  const from = regionsKey(sheet.pictureHash, info.width, widthMm, USUAL_FINDING);
  await storeRegions(db, sheetId, from, await packIndex(index.with({ ink: inkShareOf(grey) })));
  const { plan, revision } = await nameFromKey(db, sheetId, 'demo-names');
  return { plan, revision, regions: await readRegions(db, sheetId) };
}

/** Whether the demo lies on the desk, and how much of it. */
export async function demoState(db: Querying): Promise<DemoState> {
  const count = async (table: typeof sheets | typeof pencils) => {
    const [row] = await db
      .select({ n: sql<number>`count(*)::int` })
      .from(table)
      .where(eq(table.origin, 'demo'));
    return row?.n ?? 0;
  };
  const using = await db
    .select({ id: sheets.id })
    .from(sheets)
    .where(and(eq(sheets.trayId, DEMO_TRAY), ne(sheets.origin, 'demo')));
  const [laidSheets, laidPencils] = [await count(sheets), await count(pencils)];
  return {
    laidOut: laidSheets > 0 || (laidPencils > 0 && using.length === 0),
    sheets: laidSheets,
    pencils: laidPencils,
    ownSheetsUsingIt: using.length,
  };
}

/**
 * Takes the demo off the desk: its sheets with everything done on them, its practice, and its tray unless a sheet of
 * one's own is planned with it. Rows of one's own are never touched.
 */
export async function removeDemo(db: Database): Promise<DemoState> {
  return db.transaction(async (tx) => {
    await tx.delete(sheets).where(eq(sheets.origin, 'demo'));
    await tx.delete(practice).where(eq(practice.origin, 'demo'));
    const [user] = await tx.select({ id: sheets.id }).from(sheets).where(eq(sheets.trayId, DEMO_TRAY)).limit(1);
    if (!user) await tx.delete(trays).where(eq(trays.id, DEMO_TRAY));
    await mark(tx, REMOVED);
    return demoState(tx);
  });
}

/** Lays the demo out again after it was removed. */
export async function putDemoBack(db: Database, folder: URL): Promise<DemoState> {
  const desk = demoDesk(db, folder);
  if ((await desk.edition()) === null) await mark(db, '0');
  await seedDemo(desk);
  return demoState(db);
}
