import { eq } from 'drizzle-orm';
import type { PencilWear } from '../../contracts/index.ts';
import { laidLayers, plannedWear } from '../../planning/index.ts';
import { type Database } from '../db/open-database.ts';
import { sheets } from '../db/schema.ts';
import { benchState, ratesOf } from './bench.ts';
import { readRegions } from './regions.ts';
import { sheetState } from './sheets.ts';
import { listPencils } from './trays.ts';

/** What the sheets planned with a tray still take of its pencils; sheets without regions take nothing yet. */
export async function listWear(db: Database, trayId: string): Promise<PencilWear[]> {
  const pencils = await listPencils(db, trayId);
  const rows = await db.select({ id: sheets.id }).from(sheets).where(eq(sheets.trayId, trayId));
  const all = new Map<string, PencilWear>();
  for (const { id } of rows) {
    const { plan, title } = await sheetState(db, id);
    if (!plan.regionsFrom || Object.values(plan.things).every(({ family }) => family === null)) continue;
    const page = await readRegions(db, id);
    const bench = await benchState(db, id);
    const done = new Set(bench.done.map(({ stepId }) => stepId));
    const laid = (thingId: string, layers: readonly { id: string }[]) =>
      bench.plan ? laidLayers(thingId, layers, done, bench.plan.steps) : 0;
    const worn = plannedWear(plan, page, pencils, laid, await ratesOf(db, id));
    for (const [pencilId, { lengthMm, points }] of worn) {
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
