import { and, asc, eq } from 'drizzle-orm';
import { type BenchState, type LogEntry, type NewBenchPlan, type RecordEntry } from '../../contracts/index.ts';
import { type Rates, USUAL_COSTS, inHand, validateSequence } from '../../core/bench/index.ts';
import { learnRates } from '../../core/record/index.ts';
import { type OnTheTable, minutesWorked, paperInUse, withEntry } from '../../planning/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { benchPlans, sheets, stepLog } from '../db/schema.ts';
import { Refused, found } from '../refused.ts';
import { listFits } from './swatches.ts';
import { listPencils } from './trays.ts';

/** Orders of before told less of themselves. */
const OLDER = {
  sharpenings: 0,
  smearCm2: 0,
  leftOut: [],
  madeFor: null,
  ratesFrom: 0,
  pickUpSeconds: USUAL_COSTS.pickUpSeconds,
};

/** The orders of a sheet, the oldest first, each with what stands in the log of it. */
async function ordersOf(db: Querying, sheetId: string) {
  const rows = await db.select().from(benchPlans).where(eq(benchPlans.sheetId, sheetId)).orderBy(asc(benchPlans.seq));
  return Promise.all(
    rows.map(async ({ id, content, madeAt }) => ({
      plan: { ...OLDER, ...content, madeAt: madeAt.toISOString() },
      stepOf: new Map(content.steps.map((step) => [step.id, step])),
      ...(await tableOf(db, id)),
    })),
  );
}

/** The newest plan of a sheet's bench, what stands as done, put off and begun of it, and what is finished in all. */
export async function benchState(db: Querying, sheetId: string): Promise<BenchState> {
  const orders = await ordersOf(db, sheetId);
  const newest = orders.at(-1);
  if (!newest) return { plan: null, done: [], skipped: [], begun: {}, finished: [] };
  const finished = orders.flatMap(({ done, stepOf }) =>
    done.map(({ stepId }) => {
      const { thingId, layerId, regionIds } = stepOf.get(stepId)!;
      return { thingId, layerId, regionIds };
    }),
  );
  const { plan, done, skipped, begun } = newest;
  return { plan, done, skipped, begun, finished };
}

/**
 * Stores an order of steps once it has been checked apart from the code that made it.
 * @throws Refused when the order breaks a rule, with the first fault
 */
export async function storeBenchPlan(db: Database, sheetId: string, plan: NewBenchPlan): Promise<BenchState> {
  const [fault] = validateSequence(plan.steps, plan.order, plan.openThings);
  const inSittings = plan.sittings.flatMap(({ steps }) => steps);
  if (inSittings.join() !== plan.order.join()) {
    throw new Refused(422, 'The sittings do not hold the steps of this order, each once and in turn.');
  }
  if (fault) throw new Refused(422, `This order cannot be worked by: ${fault}`);
  return db.transaction(async (tx) => {
    const [sheet] = await tx.select({ id: sheets.id }).from(sheets).where(eq(sheets.id, sheetId));
    found(sheet, 'This sheet is not on the desk.');
    await tx.insert(benchPlans).values({ id: plan.id, sheetId, content: plan }).onConflictDoNothing();
    return benchState(tx, sheetId);
  });
}

/** Adds to the log of the table, entries of one plan at a time. The same entry sent twice stands once. */
export async function logSteps(db: Database, sheetId: string, entries: readonly LogEntry[]): Promise<BenchState> {
  return db.transaction(async (tx) => {
    const planId = entries[0]?.planId ?? '';
    const which = and(eq(benchPlans.id, planId), eq(benchPlans.sheetId, sheetId));
    const [plan] = await tx.select().from(benchPlans).where(which);
    found(plan, 'This step belongs to a plan that is not on the desk.');
    const known = new Set(plan.content.order);
    const tray = entries.some(({ usedPencil }) => usedPencil) ? await trayOf(tx, sheetId) : [];
    const rows = entries.map((entry) => {
      if (entry.planId !== planId || !known.has(entry.stepId))
        throw new Refused(422, 'This step is not part of its plan.');
      const startedAt = new Date(entry.startedAt);
      const finishedAt = new Date(entry.finishedAt);
      if (finishedAt < startedAt) throw new Refused(422, 'A step cannot be finished before it was begun.');
      if (entry.usedPencil && !tray.some(({ id }) => id === entry.usedPencil))
        throw new Refused(422, 'The pencil that was used is not in the tray of this sheet.');
      return { ...entry, startedAt, finishedAt };
    });
    await tx.insert(stepLog).values(rows).onConflictDoNothing();
    await tx.update(sheets).set({ updatedAt: new Date() }).where(eq(sheets.id, sheetId));
    return benchState(tx, sheetId);
  });
}

async function trayOf(db: Querying, sheetId: string) {
  const [sheet] = await db.select({ trayId: sheets.trayId }).from(sheets).where(eq(sheets.id, sheetId));
  return listPencils(db, sheet.trayId);
}

/** What stands in the log of a plan. */
async function tableOf(db: Querying, planId: string): Promise<OnTheTable> {
  const rows = await db.select().from(stepLog).where(eq(stepLog.planId, planId)).orderBy(asc(stepLog.seq));
  const bare: OnTheTable = { done: [], skipped: [], begun: {} };
  return rows.reduce(
    (table, { seq: _seq, startedAt, finishedAt, ...row }) =>
      withEntry(table, { ...row, startedAt: startedAt.toISOString(), finishedAt: finishedAt.toISOString() }),
    bare,
  );
}

/** How many steps of a sheet are done over all of its plans, and how many there are with those that the newest leaves open. */
export async function howFar(db: Querying, sheetId: string): Promise<{ steps: number; stepsDone: number }> {
  const orders = await ordersOf(db, sheetId);
  const stepsDone = orders.reduce((sum, { done }) => sum + done.length, 0);
  const newest = orders.at(-1);
  return { steps: stepsDone + (newest ? newest.plan.order.length - newest.done.length : 0), stepsDone };
}

/** Every finished step of a sheet, over all of its plans, oldest first. */
export async function readRecord(db: Querying, sheetId: string): Promise<RecordEntry[]> {
  const orders = await ordersOf(db, sheetId);
  const pencils = new Map(orders.flatMap(({ plan }) => plan.pencils.map((pencil) => [pencil.id, pencil])));
  const others = orders.flatMap(({ done }) => done.flatMap(({ usedPencil }) => usedPencil ?? []));
  for (const pencil of others.length > 0 ? await trayOf(db, sheetId) : []) {
    const { id, code, name, ownName, colour } = pencil;
    if (others.includes(id) && !pencils.has(id)) pencils.set(id, { id, code, name: ownName || name, colour });
  }
  return orders.flatMap(({ plan, done, stepOf }) => {
    const nameOf = new Map(plan.things.map((thing) => [thing.id, thing.name]));
    return done.map((entry) => {
      const step = stepOf.get(entry.stepId)!;
      return {
        ...entry,
        thingId: step.thingId,
        thing: nameOf.get(step.thingId) ?? '',
        pencil: pencils.get(entry.usedPencil ?? step.pencil) ?? pencils.get(step.pencil)!,
        pressure: step.pressure,
        passes: step.passes,
        purpose: step.purpose,
        regions: step.regionIds.length,
        regionIds: step.regionIds,
        plannedMinutes: step.minutes,
      };
    });
  });
}

/** How fast this person works, by what is logged of this sheet and others that came the same way. */
export async function ratesOf(db: Querying, sheetId: string): Promise<Rates> {
  const [sheet] = await db.select().from(sheets).where(eq(sheets.id, sheetId));
  const { origin, trayId, plan } = found(sheet, 'This sheet is not on the desk.');
  const { hand } = paperInUse(plan.page.paper, [], await listFits(db, trayId)).paper;
  const like = await db.select({ id: sheets.id }).from(sheets).where(eq(sheets.origin, origin));
  const orders = (await Promise.all(like.map(({ id }) => ordersOf(db, id)))).flat();
  const rates = learnRates(
    orders.flatMap(({ done, begun, stepOf }) =>
      done.flatMap((entry, i) => {
        const { coveredMm2, passes, point, pressure, stroke, regionIds } = stepOf.get(entry.stepId)!;
        if (coveredMm2 === undefined) return [];
        const held = (other: LogEntry | undefined) => other && (other.usedPencil ?? inHand(stepOf.get(other.stepId)!));
        const picksUp = held(entry) !== held(done[i - 1]);
        const actualMinutes = minutesWorked(entry) + (begun[entry.stepId] ?? 0);
        return [{ coveredMm2, passes, point, pressure, stroke, regions: regionIds.length, actualMinutes, picksUp }];
      }),
    ),
  );
  return { ...rates, hand };
}
