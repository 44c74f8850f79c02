import { readFile } from 'node:fs/promises';
import { eq } from 'drizzle-orm';
import sharp from 'sharp';
import { emptyPlan } from '../../contracts/index.ts';
import { type DemoDesk, type DemoSheet } from '../../demo/index.ts';
import { keepBlob } from '../db/blobs.ts';
import { type Database } from '../db/open-database.ts';
import { pencils, settings, sheets, trays } from '../db/schema.ts';
import { takeIn } from './intake.ts';

const LAID_OUT = 'demo laid out';

/**
 * The desk as the demo's seeder sees it. All rows are marked as demo, and what is there already stays as it is.
 * @param folder where the demo's drawn sheets lie
 */
export function demoDesk(db: Database, folder: URL): DemoDesk {
  return {
    async wasLaidOut() {
      return (await db.select().from(settings).where(eq(settings.key, LAID_OUT))).length > 0;
    },
    async addTray(id, name, added) {
      await db.transaction(async (tx) => {
        await tx.insert(trays).values({ id, name, origin: 'demo' }).onConflictDoNothing();
        const rows = added.map((pencil, place) => ({ ...pencil, trayId: id, place, origin: 'demo' as const }));
        await tx.insert(pencils).values(rows).onConflictDoNothing();
      });
    },
    addSheet: (sheet) => addSheet(db, folder, sheet),
    async markLaidOut() {
      await db.insert(settings).values({ key: LAID_OUT, value: 'yes' }).onConflictDoNothing();
    },
  };
}

async function addSheet(db: Database, folder: URL, sheet: DemoSheet): Promise<void> {
  const original = await readFile(new URL(sheet.file, folder));
  const { mime, picture } = await takeIn(original);
  const key = await sharp(await readFile(new URL(sheet.keyFile, folder)), { density: 150 })
    .resize(picture.width, picture.height, { kernel: 'nearest', fit: 'fill' })
    .removeAlpha()
    .png()
    .toBuffer();
  const { id, title, trayId, widthMm, heightMm, paper } = sheet;
  await db.transaction(async (tx) => {
    const originalHash = await keepBlob(tx, mime, original);
    const pictureHash = await keepBlob(tx, 'image/png', picture.png);
    const keyHash = await keepBlob(tx, 'image/png', key);
    const keyThings = sheet.things.map(({ mark, name, focus = false, natural = null, form = null }) => ({
      ...{ mark, name, focus, natural, form },
    }));
    await tx
      .insert(sheets)
      .values({
        ...{ id, title, trayId, origin: 'demo', originalHash, pictureHash, keyHash, keyThings },
        pictureWidth: picture.width,
        pictureHeight: picture.height,
        plan: emptyPlan({ widthMm, heightMm, paper }),
      })
      .onConflictDoNothing();
  });
}
