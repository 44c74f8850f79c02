import { z } from 'zod';
import { PRESSURES } from '../laydown/index.ts';
import { RegionId } from '../lineart/schemas.ts';
import { Id, LabColour } from '../primitives/schemas.ts';
import { DIRECTIONS, POINTS, PULLS, STROKES } from '../recipe/index.ts';
import { DryMinutes, Passes, ToolId, Zone } from '../recipe/schemas.ts';
import { BY_THE_PAGE } from './by-the-page.ts';
import { REPAIR } from './repair-ids.ts';

/**
 * How many things may be begun and unfinished at once, or that the page chooses; like things count as one. Plans once said 50
 * where any number might be.
 */
export const OpenThings = z.preprocess(
  (open) => (open === 50 ? 'any' : open),
  z.union([z.literal(BY_THE_PAGE), z.literal('any'), z.int().min(1).max(49)]),
);
export type OpenThings = z.infer<typeof OpenThings>;

/** Thing id and layer id, joined by a slash; with a number behind a tilde where the layer is laid place by place. */
export const StepId = z.string().regex(/^[A-Za-z0-9_-]+\/[A-Za-z0-9_-]+(~\d+)?$/);

const Edge = z.number().min(-5).max(1300);

/** Edges of what a step is laid on, mm of the page. */
export const Box = z.object({ left: Edge, top: Edge, right: Edge, bottom: Edge });
export type Box = z.infer<typeof Box>;

/** One pencil at one pressure on one or more regions of a thing, to be done in one go. */
export const Step = z.object({
  id: StepId,
  thingId: Id,
  layerId: z.string(),
  pencil: Id,
  regionIds: z.array(RegionId).min(1).readonly(),
  pressure: z.enum(PRESSURES),
  passes: Passes,
  stroke: z.enum(STROKES),
  point: z.enum(POINTS),
  direction: z.enum(DIRECTIONS).optional(),
  pull: z.enum(PULLS).optional(),
  tool: ToolId.optional(),
  colour: LabColour.optional(),
  dryMinutes: DryMinutes.optional(),
  zone: Zone,
  purpose: z.string(),
  /** Minutes it takes, by the rates in rates.ts. */
  minutes: z.number().min(0),
  /** L* of the pencil's laydown on this paper. */
  value: z.number(),
  /** Where it lies; absent in older plans. */
  box: Box.optional(),
  /** Area that it covers. */
  coveredMm2: z.number().min(0).optional(),
  /** How many sharp points it wears down. */
  wear: z.number().min(0).optional(),
  /** Whether what it leaves smears under a hand. */
  soft: z.boolean().optional(),
  /** Steps that must be done before. */
  after: z.array(StepId).readonly(),
});
export type Step = z.infer<typeof Step>;

/** One stretch of time at the table. */
export const Sitting = z.object({ steps: z.array(StepId).readonly(), minutes: z.number() });
export type Sitting = z.infer<typeof Sitting>;

/** A wish of a rule that could not be kept. */
export const LeftOut = z.object({
  ruleId: z.string().max(40),
  /** What it came to, in one sentence. */
  sentence: z.string().max(400),
});
export type LeftOut = z.infer<typeof LeftOut>;

/** What makes a mistake on a thing good: a step of its own beside those that recipes ask for. */
export const RepairOfThing = z.object({
  id: z.string().regex(new RegExp(`^${REPAIR}[A-Za-z0-9_-]{1,30}$`)),
  regionIds: z.array(RegionId).max(5000).readonly(),
  /** The pencil that is laid, or that a tool works. */
  pencil: Id,
  tool: ToolId.optional(),
  pressure: z.enum(PRESSURES),
  passes: Passes,
  /** How much of its regions it goes over. */
  areaMm2: z.number().min(0).max(2_000_000),
  /** Before all else that is left, or once the rest of its thing is done. */
  when: z.enum(['next', 'last']),
  purpose: z.string().trim().min(1).max(400),
});
export type RepairOfThing = z.infer<typeof RepairOfThing>;
