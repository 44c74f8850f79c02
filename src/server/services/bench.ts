import { and, asc, desc, eq } from 'drizzle-orm';
import { type BenchState, type LogEntry, type NewBenchPlan, type RecordEntry } from '../../contracts/index.ts';
import { validateSequence } from '../../core/bench/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { benchPlans, sheets, stepLog } from '../db/schema.ts';
import { Refused, found } from '../refused.ts';

/** The newest plan of a sheet's bench and the steps of it that stand as done. */
export async function benchState(db: Querying, sheetId: string): Promise<BenchState> {
  const [row] = await db
    .select()
    .from(benchPlans)
    .where(eq(benchPlans.sheetId, sheetId))
    .orderBy(desc(benchPlans.seq))
    .limit(1);
  if (!row) return { plan: null, done: [] };
  return { plan: { ...row.content, madeAt: row.madeAt.toISOString() }, done: await standingSteps(db, row.id) };
}

/**
 * Stores an order of steps once it has been checked apart from the code that made it.
 * @throws Refused when the order breaks a rule, with the first fault
 */
export async function storeBenchPlan(db: Database, sheetId: string, plan: NewBenchPlan): Promise<BenchState> {
  const [fault] = validateSequence(plan.steps, plan.order, plan.openThings);
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
    const rows = entries.map((entry) => {
      if (entry.planId !== planId || !known.has(entry.stepId))
        throw new Refused(422, 'This step is not part of its plan.');
      const startedAt = new Date(entry.startedAt);
      const finishedAt = new Date(entry.finishedAt);
      if (finishedAt < startedAt) throw new Refused(422, 'A step cannot be finished before it was begun.');
      return { ...entry, startedAt, finishedAt };
    });
    await tx.insert(stepLog).values(rows).onConflictDoNothing();
    await tx.update(sheets).set({ updatedAt: new Date() }).where(eq(sheets.id, sheetId));
    return benchState(tx, sheetId);
  });
}

/** Steps of a plan whose last word in the log is "done", in the order in which they were finished. */
export async function standingSteps(db: Querying, planId: string): Promise<LogEntry[]> {
  const rows = await db.select().from(stepLog).where(eq(stepLog.planId, planId)).orderBy(asc(stepLog.seq));
  const last = new Map<string, LogEntry>();
  for (const { seq: _seq, startedAt, finishedAt, ...row } of rows) {
    last.delete(row.stepId);
    last.set(row.stepId, { ...row, startedAt: startedAt.toISOString(), finishedAt: finishedAt.toISOString() });
  }
  return [...last.values()].filter((entry) => entry.kind === 'done');
}

/** How many steps of a sheet are done over all of its plans, and how many there are with those that the newest leaves open. */
export async function howFar(db: Querying, sheetId: string): Promise<{ steps: number; stepsDone: number }> {
  const plans = await db.select().from(benchPlans).where(eq(benchPlans.sheetId, sheetId)).orderBy(asc(benchPlans.seq));
  let stepsDone = 0;
  let open = 0;
  for (const { id, content } of plans) {
    const done = (await standingSteps(db, id)).length;
    stepsDone += done;
    open = content.order.length - done;
  }
  return { steps: stepsDone + open, stepsDone };
}

/** Every finished step of a sheet, over all of its plans, oldest first. */
export async function readRecord(db: Querying, sheetId: string): Promise<RecordEntry[]> {
  const plans = await db.select().from(benchPlans).where(eq(benchPlans.sheetId, sheetId)).orderBy(asc(benchPlans.seq));
  const entries: RecordEntry[] = [];
  for (const { id, content } of plans) {
    const stepOf = new Map(content.steps.map((step) => [step.id, step]));
    const pencilOf = new Map(content.pencils.map((pencil) => [pencil.id, pencil]));
    const nameOf = new Map(content.things.map((thing) => [thing.id, thing.name]));
    for (const entry of await standingSteps(db, id)) {
      const step = stepOf.get(entry.stepId)!;
      entries.push({
        ...entry,
        thingId: step.thingId,
        thing: nameOf.get(step.thingId) ?? '',
        pencil: pencilOf.get(step.pencil)!,
        pressure: step.pressure,
        purpose: step.purpose,
        regions: step.regionIds.length,
        plannedMinutes: step.minutes,
      });
    }
  }
  return entries;
}
