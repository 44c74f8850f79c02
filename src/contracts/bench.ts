import { z } from 'zod';
import { PRESSURES } from '../core/laydown/index.ts';
import { DIRECTIONS, POINTS, STROKES } from '../core/recipe/index.ts';
import { Id, Time } from './primitives.ts';
import { RegionId, Zone } from './plan.ts';

const StepId = z.string().regex(/^[A-Za-z0-9_-]+\/[A-Za-z0-9_-]+$/);

const OwnStep = z.object({
  id: StepId,
  thingId: Id,
  layerId: z.string(),
  pencil: Id,
  regionIds: z.array(RegionId).min(1),
  pressure: z.enum(PRESSURES),
  passes: z.int().min(1).max(6),
  stroke: z.enum(STROKES),
  point: z.enum(POINTS),
  direction: z.enum(DIRECTIONS).optional(),
  tool: z.string().max(40).optional(),
  dryMinutes: z.number().min(0).max(600).optional(),
  zone: Zone,
  purpose: z.string(),
  minutes: z.number().min(0),
  value: z.number(),
  after: z.array(StepId),
});

/** Older steps told the way over which their zone's field runs beside the zone. */
const OlderStep = z.looseObject({
  zone: z.looseObject({ overMm: z.undefined().optional() }),
  halfWidthMm: z.number().positive(),
});

export const Step = z.preprocess((step) => {
  const older = OlderStep.safeParse(step);
  if (!older.success) return step;
  return { ...older.data, zone: { ...older.data.zone, overMm: older.data.halfWidthMm } };
}, OwnStep);

/** A pencil as it was when a plan was made. */
const PencilThen = z.object({ id: Id, code: z.string(), name: z.string(), colour: z.string() });

/** An order of steps as it was agreed: it never changes afterwards. */
export const NewBenchPlan = z.object({
  id: Id,
  /** Revision of the sheet's plan that it was made from. */
  planRevision: z.int().min(0),
  /** Which layer model and rates it was made with. */
  model: z.string().max(40),
  openThings: z.int().min(1).max(50),
  steps: z.array(Step).min(1, 'There is no step to do: give at least one thing a family.').max(20_000),
  order: z.array(StepId),
  sittings: z.array(z.object({ steps: z.array(StepId), minutes: z.number() })),
  pickUps: z.int().min(0),
  minutes: z.number().min(0),
  lowerBound: z.int().min(0),
  pencils: z.array(PencilThen),
  things: z.array(z.object({ id: Id, name: z.string() })),
});
export type NewBenchPlan = z.infer<typeof NewBenchPlan>;

export const BenchPlan = NewBenchPlan.extend({ madeAt: Time });
export type BenchPlan = z.infer<typeof BenchPlan>;

/** What happened to a step at the table. */
export const LogEntry = z.object({
  id: Id,
  planId: Id,
  stepId: StepId,
  kind: z.enum(['done', 'not done after all']),
  startedAt: Time,
  finishedAt: Time,
});
export type LogEntry = z.infer<typeof LogEntry>;

/** The bench of a sheet: its plan, if there is one, and the steps that stand as done, in the order in which they were. */
export const BenchState = z.object({ plan: BenchPlan.nullable(), done: z.array(LogEntry) });
export type BenchState = z.infer<typeof BenchState>;

/** Finished steps of all plans of a sheet, with what they were. */
export const RecordEntry = LogEntry.extend({
  thing: z.string(),
  thingId: Id,
  pencil: PencilThen,
  pressure: z.string(),
  purpose: z.string(),
  regions: z.int(),
  plannedMinutes: z.number(),
});
export type RecordEntry = z.infer<typeof RecordEntry>;
