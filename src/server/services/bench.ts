import { and, asc, desc, eq, inArray, sql } from 'drizzle-orm';
import {
  type BenchPlan,
  type BenchState,
  type LogEntry,
  type Logged,
  type NewBenchPlan,
  type RecordEntry,
  type Step,
} from '../../contracts/index.ts';
import { type Rates, validateSequence } from '../../core/bench/index.ts';
import { type TimedStep, MOST_STEPS, learnRates } from '../../core/record/index.ts';
import { minutesWorked } from '../../order/index.ts';
import { type Database, type Querying } from '../db/open-database.ts';
import { benchPlans, benchSteps, sheets, stepLog } from '../db/schema.ts';
import { NO_SHEET, Refused, orNotFound, refuseMissing } from '../refused.ts';
import { listPencils } from './trays.ts';

type StepRow = typeof benchSteps.$inferSelect;
type LogRow = typeof stepLog.$inferSelect;

/** How many rows go into one statement: a statement holds so many values at most. */
const ROWS = 1000;

/** The entry of the log by which a step stands as it does. */
const LAST_WORD = eq(stepLog.seq, benchSteps.stateSeq);

/** The newest plan of a sheet's bench, what stands as done, put off and begun of it, and what is finished in all. */
export async function benchState(db: Querying, sheetId: string): Promise<BenchState> {
  const [newest] = await db
    .select()
    .from(benchPlans)
    .where(eq(benchPlans.sheetId, sheetId))
    .orderBy(desc(benchPlans.seq))
    .limit(1);
  if (!newest) return { plan: null, done: [], skipped: [], begun: {}, finished: [], last: 0 };
  const rows = await db
    .select()
    .from(benchSteps)
    .where(eq(benchSteps.planId, newest.id))
    .orderBy(asc(benchSteps.number));
  const done = await db
    .select({ entry: stepLog })
    .from(benchSteps)
    .innerJoin(stepLog, LAST_WORD)
    .where(and(eq(benchSteps.planId, newest.id), eq(benchSteps.state, 'done')))
    .orderBy(asc(benchSteps.stateSeq));
  const finished = await db
    .select({ thingId: benchSteps.thingId, layerId: benchSteps.layerId, regionIds: benchSteps.regionIds })
    .from(benchSteps)
    .innerJoin(benchPlans, eq(benchPlans.id, benchSteps.planId))
    .where(and(eq(benchPlans.sheetId, sheetId), eq(benchSteps.state, 'done')))
    .orderBy(asc(benchPlans.seq), asc(benchSteps.stateSeq));
  const skipped = rows.filter(({ state }) => state === 'skipped').sort((p, q) => p.stateSeq! - q.stateSeq!);
  return {
    plan: planOf(newest, rows),
    done: done.map(({ entry }) => entryOf(entry)),
    skipped: skipped.map(({ stepId }) => stepId),
    begun: Object.fromEntries(rows.flatMap((row) => (row.begunMinutes > 0 ? [[row.stepId, row.begunMinutes]] : []))),
    finished,
    last: await lastEntry(db, newest.id),
  };
}

/** The number of the last entry of the log for a plan; 0 for none. */
async function lastEntry(db: Querying, planId: string): Promise<number> {
  const [row] = await db
    .select({ last: sql<number | null>`max(${stepLog.seq})` })
    .from(stepLog)
    .where(eq(stepLog.planId, planId));
  return row?.last ?? 0;
}

function planOf({ content, madeAt }: typeof benchPlans.$inferSelect, rows: readonly StepRow[]): BenchPlan {
  return {
    ...content,
    steps: rows.map(stepOf),
    order: [...rows].sort((p, q) => p.place - q.place).map(({ stepId }) => stepId),
    madeAt: madeAt.toISOString(),
  };
}

function stepOf({ stepId, thingId, layerId, pencil, tool, regionIds, coveredMm2, content, ...row }: StepRow): Step {
  const { pressure, passes, stroke, point, minutes } = row;
  const step: Step = {
    ...content,
    id: stepId,
    thingId,
    layerId,
    pencil,
    regionIds,
    pressure,
    passes,
    stroke,
    point,
    minutes,
  };
  if (tool !== null) step.tool = tool;
  if (coveredMm2 !== null) step.coveredMm2 = coveredMm2;
  return step;
}

function entryOf({ seq: _seq, startedAt, finishedAt, ...row }: LogRow): LogEntry {
  return { ...row, startedAt: startedAt.toISOString(), finishedAt: finishedAt.toISOString() };
}

/**
 * Stores an order of steps once it has been checked apart from the code that made it.
 * @throws Refused when the order breaks a rule, with the first fault
 */
export async function storeBenchPlan(db: Database, sheetId: string, plan: NewBenchPlan): Promise<BenchState> {
  const [fault] = validateSequence(plan.steps, plan.order, plan.openThings, plan.alike);
  const inSittings = plan.sittings.flatMap(({ steps }) => steps);
  if (inSittings.join() !== plan.order.join()) {
    throw new Refused(422, 'The sittings do not hold the steps of this order, each once and in turn.');
  }
  if (fault) throw new Refused(422, `This order cannot be worked by: ${fault}`);
  return db.transaction(async (tx) => {
    const [sheet] = await tx.select({ id: sheets.id }).from(sheets).where(eq(sheets.id, sheetId));
    refuseMissing(sheet, NO_SHEET);
    const { steps, order, ...content } = plan;
    const added = await tx
      .insert(benchPlans)
      .values({ id: plan.id, sheetId, content })
      .onConflictDoNothing()
      .returning({ id: benchPlans.id });
    const place = new Map(order.map((id, i) => [id, i]));
    const rows =
      added.length === 0 ? [] : steps.map((step, number) => rowOf(plan.id, step, number, place.get(step.id)!));
    for (let from = 0; from < rows.length; from += ROWS)
      await tx.insert(benchSteps).values(rows.slice(from, from + ROWS));
    return benchState(tx, sheetId);
  });
}

function rowOf(
  planId: string,
  { id, tool, coveredMm2, ...step }: Step,
  number: number,
  place: number,
): typeof benchSteps.$inferInsert {
  const { thingId, layerId, pencil, regionIds, pressure, passes, stroke, point, minutes, ...content } = step;
  return {
    planId,
    stepId: id,
    number,
    place,
    thingId,
    layerId,
    pencil,
    tool: tool ?? null,
    regionIds: [...regionIds],
    pressure,
    passes,
    stroke,
    point,
    minutes,
    coveredMm2: coveredMm2 ?? null,
    content,
  };
}

/**
 * Adds to the log of the table, entries of one plan at a time. The same entry sent twice stands once.
 * @returns what tells whether more came to the log than these
 */
export async function logSteps(db: Database, sheetId: string, entries: readonly LogEntry[]): Promise<Logged> {
  return db.transaction(async (tx) => {
    const planId = entries[0]?.planId ?? '';
    const which = and(eq(benchPlans.id, planId), eq(benchPlans.sheetId, sheetId));
    const [plan] = await tx.select({ id: benchPlans.id }).from(benchPlans).where(which);
    refuseMissing(plan, 'This step belongs to a plan that is not on the desk.');
    const [newest] = await tx
      .select({ id: benchPlans.id })
      .from(benchPlans)
      .where(eq(benchPlans.sheetId, sheetId))
      .orderBy(desc(benchPlans.seq))
      .limit(1);
    const before = await lastEntry(tx, newest!.id);
    const named = [...new Set(entries.map(({ stepId }) => stepId))];
    const steps = await tx
      .select({ id: benchSteps.stepId })
      .from(benchSteps)
      .where(and(eq(benchSteps.planId, planId), inArray(benchSteps.stepId, named)));
    const known = new Set(steps.map(({ id }) => id));
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
    for (let from = 0; from < rows.length; from += ROWS) {
      const added = await tx
        .insert(stepLog)
        .values(rows.slice(from, from + ROWS))
        .onConflictDoNothing()
        .returning();
      for (const entry of added.sort((p, q) => p.seq - q.seq)) await standAs(tx, entry);
    }
    await tx.update(sheets).set({ updatedAt: new Date() }).where(eq(sheets.id, sheetId));
    return { planId: newest!.id, before, last: await lastEntry(tx, newest!.id) };
  });
}

/** How a step stands once an entry of the log is there: the last word on it counts. */
async function standAs(tx: Querying, { planId, stepId, kind, seq, ...entry }: LogRow): Promise<void> {
  const state = kind === 'done' || kind === 'skipped' ? kind : 'open';
  const { begunMinutes } = benchSteps;
  const worked = minutesWorked(entryOf({ planId, stepId, kind, seq, ...entry }));
  await tx
    .update(benchSteps)
    .set({
      state,
      stateSeq: seq,
      begunMinutes:
        kind === 'part done'
          ? sql`${begunMinutes} + ${worked}::double precision`
          : kind === 'not done after all'
            ? 0
            : begunMinutes,
    })
    .where(and(eq(benchSteps.planId, planId), eq(benchSteps.stepId, stepId)));
}

async function trayOf(db: Querying, sheetId: string) {
  const [sheet] = await db.select({ trayId: sheets.trayId }).from(sheets).where(eq(sheets.id, sheetId));
  refuseMissing(sheet, NO_SHEET);
  return listPencils(db, sheet.trayId);
}

/** How far work on a sheet is. */
export interface Progress {
  /** Steps that are done over all of its plans with those that the newest leaves open, and how many of them are done. */
  steps: number;
  stepsDone: number;
  /** The number of its newest plan. */
  newest: number;
}

/** How far work on every sheet is, by sheet id; sheets without an order are left out. */
export async function progressOfSheets(db: Querying): Promise<Map<string, Progress>> {
  const plans = await db
    .select({
      sheetId: benchPlans.sheetId,
      seq: benchPlans.seq,
      steps: sql<number>`count(*)::int`,
      done: sql<number>`(count(*) filter (where ${benchSteps.state} = 'done'))::int`,
    })
    .from(benchPlans)
    .innerJoin(benchSteps, eq(benchSteps.planId, benchPlans.id))
    .groupBy(benchPlans.id)
    .orderBy(asc(benchPlans.seq));
  const all = new Map<string, Progress>();
  for (const { sheetId, seq, steps, done } of plans) {
    const stepsDone = done + (all.get(sheetId)?.stepsDone ?? 0);
    // Only the newest plan says what is left.
    all.set(sheetId, { stepsDone, steps: stepsDone + steps - done, newest: seq });
  }
  return all;
}

/** Every finished step of a sheet, over all of its plans, oldest first. */
export async function readRecord(db: Querying, sheetId: string): Promise<RecordEntry[]> {
  const plans = await db
    .select({
      pencils: sql<BenchPlan['pencils']>`${benchPlans.content} -> 'pencils'`,
      things: sql<BenchPlan['things']>`${benchPlans.content} -> 'things'`,
      id: benchPlans.id,
    })
    .from(benchPlans)
    .where(eq(benchPlans.sheetId, sheetId))
    .orderBy(asc(benchPlans.seq));
  const rows = await db
    .select({
      entry: stepLog,
      step: benchSteps,
    })
    .from(benchSteps)
    .innerJoin(benchPlans, eq(benchPlans.id, benchSteps.planId))
    .innerJoin(stepLog, LAST_WORD)
    .where(and(eq(benchPlans.sheetId, sheetId), eq(benchSteps.state, 'done')))
    .orderBy(asc(benchPlans.seq), asc(benchSteps.stateSeq));
  const pencils = new Map(plans.flatMap((plan) => plan.pencils.map((pencil) => [pencil.id, pencil])));
  const others = rows.flatMap(({ entry: { usedPencil } }) => usedPencil ?? []);
  for (const pencil of others.length > 0 ? await trayOf(db, sheetId) : []) {
    const { id, code, name, ownName, colour } = pencil;
    if (others.includes(id) && !pencils.has(id)) pencils.set(id, { id, code, name: ownName || name, colour });
  }
  const names = new Map(plans.map((plan) => [plan.id, new Map(plan.things.map(({ id, name }) => [id, name]))]));
  return rows.map(({ entry, step }) => ({
    ...entryOf(entry),
    thingId: step.thingId,
    thing: names.get(step.planId)?.get(step.thingId) ?? '',
    pencil: pencils.get(entry.usedPencil ?? step.pencil) ?? pencils.get(step.pencil)!,
    pressure: step.pressure,
    passes: step.passes,
    purpose: step.content.purpose,
    regions: step.regionIds.length,
    regionIds: step.regionIds,
    plannedMinutes: step.minutes,
  }));
}

/** How fast this person works, by what is logged of this sheet and others that came the same way: the newest steps. */
export async function ratesOf(db: Querying, sheetId: string): Promise<Rates> {
  const [sheet] = await db.select({ origin: sheets.origin }).from(sheets).where(eq(sheets.id, sheetId));
  const { origin } = orNotFound(sheet, NO_SHEET);
  return learntRates(db, origin);
}

/** How fast this person works, by what is logged of all sheets that came the same way. */
export async function learntRates(db: Querying, origin: 'demo' | 'own'): Promise<Rates> {
  const held = sql`coalesce(${stepLog.usedPencil}, ${benchSteps.tool}, ${benchSteps.pencil})`;
  const inTurn = sql`(partition by ${benchSteps.planId} order by ${benchSteps.stateSeq})`;
  const seconds = sql`extract(epoch from ${stepLog.finishedAt} - ${stepLog.startedAt}) - ${stepLog.pausedSeconds}`;
  const steps = await db
    .select({
      coveredMm2: sql<number | null>`${benchSteps.coveredMm2}`,
      passes: benchSteps.passes,
      point: benchSteps.point,
      pressure: benchSteps.pressure,
      stroke: benchSteps.stroke,
      regions: sql<number>`cardinality(${benchSteps.regionIds})`,
      actualMinutes: sql<number>`(greatest(0, ${seconds}) / 60 + ${benchSteps.begunMinutes})::double precision`,
      picksUp: sql<boolean>`${held} is distinct from lag(${held}) over ${inTurn}`,
    })
    .from(benchSteps)
    .innerJoin(benchPlans, eq(benchPlans.id, benchSteps.planId))
    .innerJoin(sheets, and(eq(sheets.id, benchPlans.sheetId), eq(sheets.origin, origin)))
    .innerJoin(stepLog, LAST_WORD)
    .where(eq(benchSteps.state, 'done'))
    .orderBy(desc(benchSteps.stateSeq))
    .limit(MOST_STEPS);
  return learnRates(steps.flatMap((step) => (step.coveredMm2 === null ? [] : [step as TimedStep])));
}
