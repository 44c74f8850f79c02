import { createHash } from 'node:crypto';
import { asc, eq } from 'drizzle-orm';
import type { PencilWear } from '../../contracts/index.ts';
import { type Rates } from '../../core/bench/index.ts';
import { readPlan } from '../../plan/index.ts';
import { laidLayers, plannedWear } from '../../order/index.ts';
import { type PaperModel, paperModelOf } from '../../pencils/index.ts';
import { type Database } from '../db/open-database.ts';
import { plannedWear as kept, sheets } from '../db/schema.ts';
import { NO_SHEET, refuseMissing } from '../refused.ts';
import { benchState, progressOfSheets, learntRates } from './bench.ts';
import { readRegions } from './regions.ts';
import { listFits } from './swatches.ts';
import { listPencils } from './trays.ts';

type SheetWear = (typeof kept.$inferSelect)['content'];

/**
 * What the sheets planned with a tray still take of its pencils; sheets without regions take nothing yet. It is worked
 * out anew only for sheets whose plan, bench or pencils changed since.
 */
export async function listWear(db: Database, trayId: string): Promise<PencilWear[]> {
  const pencils = await listPencils(db, trayId);
  const rows = await db
    .select({
      id: sheets.id,
      title: sheets.title,
      origin: sheets.origin,
      paper: sheets.paper,
      revision: sheets.revision,
      regionsFrom: sheets.regionsFrom,
      madeFor: kept.madeFor,
      content: kept.content,
    })
    .from(sheets)
    .leftJoin(kept, eq(kept.sheetId, sheets.id))
    .where(eq(sheets.trayId, trayId))
    .orderBy(asc(sheets.id));
  const [far, fits] = [await progressOfSheets(db), await listFits(db, trayId)];
  const rates = new Map<string, Rates>();
  for (const origin of new Set(rows.map((row) => row.origin))) rates.set(origin, await learntRates(db, origin));
  const all = new Map<string, PencilWear>();
  for (const { id, title, origin, paper, revision, regionsFrom, madeFor, content } of rows) {
    if (!regionsFrom) continue;
    const own = rates.get(origin)!;
    const stamp = digest([revision, far.get(id), pencils, fits, own]);
    const on = paperModelOf(paper, pencils, fits);
    const worn = madeFor === stamp ? content! : await workOut(db, id, stamp, pencils, own, on);
    for (const { pencilId, lengthMm, points } of worn) {
      const before = all.get(pencilId) ?? { pencilId, lengthMm: 0, points: 0, sheets: [] };
      all.set(pencilId, {
        pencilId,
        lengthMm: before.lengthMm + lengthMm,
        points: before.points + points,
        sheets: [...before.sheets, title],
      });
    }
  }
  return [...all.values()];
}

async function workOut(
  db: Database,
  id: string,
  madeFor: string,
  pencils: Awaited<ReturnType<typeof listPencils>>,
  rates: Rates,
  on: PaperModel,
): Promise<SheetWear> {
  const [sheet] = await db.select({ plan: sheets.plan }).from(sheets).where(eq(sheets.id, id));
  refuseMissing(sheet, NO_SHEET);
  const bench = await benchState(db, id);
  const done = new Set(bench.done.map(({ stepId }) => stepId));
  const laid = (thingId: string, layers: readonly { id: string }[]) =>
    bench.plan ? laidLayers(thingId, layers, done, bench.plan.steps) : 0;
  const worn = plannedWear(readPlan(sheet.plan), await readRegions(db, id), pencils, laid, rates, on);
  const content = [...worn].map(([pencilId, { lengthMm, points }]) => ({ pencilId, lengthMm, points }));
  await db
    .insert(kept)
    .values({ sheetId: id, madeFor, content })
    .onConflictDoUpdate({ target: kept.sheetId, set: { madeFor, content } });
  return content;
}

function digest(of: unknown): string {
  return createHash('sha256').update(JSON.stringify(of)).digest('hex');
}
