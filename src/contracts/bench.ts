import { z } from 'zod';
import { HANDS, USUAL_COSTS } from '../core/bench/index.ts';
import { LeftOut, OpenThings, Sitting, Step, StepId } from '../core/bench/schemas.ts';
import { RegionId } from '../core/lineart/schemas.ts';
import { Id } from '../core/primitives/schemas.ts';
import { Time } from './primitives.ts';

/** Older steps told the way over which their zone's field runs beside the zone. */
const OlderStep = z.looseObject({
  zone: z.looseObject({ overMm: z.undefined().optional() }),
  halfWidthMm: z.number().positive(),
});

/** A step as it is kept, of any age. */
export const StoredStep = z.preprocess((step) => {
  const older = OlderStep.safeParse(step);
  if (!older.success) return step;
  return { ...older.data, zone: { ...older.data.zone, overMm: older.data.halfWidthMm } };
}, Step);

/** A pencil as it was when a plan was made. */
const PencilThen = z.object({ id: Id, code: z.string(), name: z.string(), colour: z.string() });

/** An order of steps as it was agreed: it never changes afterwards. */
export const NewBenchPlan = z.object({
  id: Id,
  /** Revision of the sheet's plan that it was made from. */
  planRevision: z.int().min(0),
  /** Which layer model and rates it was made with. */
  model: z.string().max(40),
  /** As many as may be open: more than wished only where rules of craft leave no other way. */
  openThings: z.int().min(1).max(5000),
  /** What the page chose the number of open things among; empty where it was wished. Older plans tell none. */
  openTried: z
    .array(
      z.object({
        openThings: z.union([z.literal('any'), z.int().min(1)]),
        pickUps: z.int().min(0),
        isChosen: z.boolean(),
      }),
    )
    .default([]),
  /** Sets of like things, which are laid together and open as one; older plans have none. */
  alike: z.array(z.array(Id).min(2)).default([]),
  steps: z.array(StoredStep).min(1, 'There is no step to do: give at least one thing a family.').max(20_000),
  order: z.array(StepId),
  sittings: z.array(Sitting),
  pickUps: z.int().min(0),
  minutes: z.number().min(0),
  lowerBound: z.int().min(0),
  /** Sharpenings on the way, soft work that the hand lies over, cm2, and what rules could not be kept; older plans tell none. */
  sharpenings: z.int().min(0).default(0),
  smearCm2: z.number().min(0).default(0),
  leftOut: z.array(LeftOut).default([]),
  /** What was wished when it was made; null in older plans. */
  madeFor: z
    .object({
      openThings: OpenThings,
      sittingMinutes: z.number(),
      hand: z.enum(HANDS),
      rules: z.array(z.string()).readonly(),
    })
    .nullable()
    .default(null),
  /** How many finished steps the minutes were learnt from; 0: they are assumed. */
  ratesFrom: z.int().min(0).default(0),
  /** What a pick-up was reckoned at. */
  pickUpSeconds: z.number().min(0).max(600).default(USUAL_COSTS.pickUpSeconds),
  pencils: z.array(PencilThen),
  things: z.array(z.object({ id: Id, name: z.string() })),
});
export type NewBenchPlan = z.output<typeof NewBenchPlan>;

export const BenchPlan = NewBenchPlan.extend({ madeAt: Time });
export type BenchPlan = z.infer<typeof BenchPlan>;

export const LOG_KINDS = ['done', 'part done', 'skipped', 'not done after all'] as const;
/** How what was laid looks beside what was foretold. */
export const CAME_OUT = ['as planned', 'darker', 'paler', 'patchy'] as const;
export type CameOut = (typeof CAME_OUT)[number];

/** What happened to a step at the table. */
export const LogEntry = z.object({
  id: Id,
  planId: Id,
  stepId: StepId,
  kind: z.enum(LOG_KINDS),
  startedAt: Time,
  finishedAt: Time,
  /** Seconds in between in which nobody worked. */
  pausedSeconds: z.int().min(0).default(0),
  /** Another pencil than the step's that it was done with. */
  usedPencil: Id.nullable().default(null),
  cameOut: z.enum(CAME_OUT).nullable().default(null),
});
export type LogEntry = z.output<typeof LogEntry>;

/** Entries of one plan, in turn: what one press says of the shapes of a step. */
export const LogEntries = z.array(LogEntry).min(1, 'There is nothing to write down.').max(1000);

/** What the log answers: not how everything stands, but whether anything came to it from elsewhere. */
export const Logged = z.object({
  /** The newest plan of the sheet. */
  planId: Id,
  /** The last entry of that plan before these and after them, by the number that the log gave it; 0 for none. */
  before: z.int().min(0),
  last: z.int().min(0),
});
export type Logged = z.infer<typeof Logged>;

/** A layer that stands as done on some regions, over all plans of a sheet. */
export const FinishedLayer = z.object({ thingId: Id, layerId: z.string(), regionIds: z.array(RegionId).readonly() });
export type FinishedLayer = z.infer<typeof FinishedLayer>;

/** The bench of a sheet. */
export const BenchState = z.object({
  plan: BenchPlan.nullable(),
  /** The steps of the plan that stand as done, in the order in which they were finished. */
  done: z.array(LogEntry),
  /** Steps of the plan that were put off, in that order. */
  skipped: z.array(StepId),
  /** Minutes that went into steps that are begun and not done. */
  begun: z.record(StepId, z.number().min(0)),
  finished: z.array(FinishedLayer),
  /** The last entry of the log for this plan, by the number that the log gave it; 0 for none. */
  last: z.int().min(0).default(0),
});
export type BenchState = z.infer<typeof BenchState>;

/** Finished steps of all plans of a sheet, with what they were. */
export const RecordEntry = LogEntry.extend({
  thing: z.string(),
  thingId: Id,
  pencil: PencilThen,
  pressure: z.string(),
  passes: z.int(),
  purpose: z.string(),
  regions: z.int(),
  regionIds: z.array(RegionId),
  plannedMinutes: z.number(),
});
export type RecordEntry = z.infer<typeof RecordEntry>;
