import { z } from 'zod';
import { PRESSURES } from '../core/laydown/index.ts';
import { Hex, Id, Millimetres, Name } from './primitives.ts';

export const RegionId = z.number().int().min(1).max(65_535);

/** Regions that belong together: a lantern, a petal ring. */
export const Thing = z.object({
  id: Id,
  name: Name,
  regionIds: z.array(RegionId).min(1, 'A thing holds at least one region.').max(5000),
  /** Whether the eye should go here first. */
  focus: z.boolean(),
  /** The natural colour that it must keep, or null. */
  natural: Hex.nullable(),
});
export type Thing = z.infer<typeof Thing>;

export const Page = z.object({ widthMm: Millimetres, heightMm: Millimetres, paper: z.string().max(40) });
export type Page = z.infer<typeof Page>;

export const Family = z.object({ dark: Id, mid: Id, light: Id });

export const LightPlan = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('ambient') }),
  z.object({
    kind: z.literal('direction'),
    azimuthDegrees: z.number().min(0).max(360),
    heightDegrees: z.number().min(5).max(90),
  }),
]);

export const LayerEdit = z.object({ pressure: z.enum(PRESSURES).optional(), passes: z.int().min(1).max(6).optional() });

const byThing = <T extends z.ZodType>(value: T) => z.record(Id, value);

/** Everything decided about a sheet, in sections that are changed and undone whole. */
export const Plan = z.object({
  page: Page,
  things: z
    .array(Thing)
    .max(2000)
    .refine((things) => {
      const ids = things.flatMap((thing) => thing.regionIds);
      return new Set(ids).size === ids.length;
    }, 'A region can belong to one thing only.'),
  wheel: z.object({ anchor: z.number().min(0).max(360), scheme: z.string().max(40) }),
  families: byThing(Family),
  light: LightPlan,
  forms: byThing(z.string().max(40)),
  layers: z.object({
    school: z.string().max(40),
    /** Schools of single things, over the sheet's own. */
    schools: byThing(z.string().max(40)),
    /** Changes to single layers, by thing and layer. */
    edits: byThing(z.record(z.string().max(40), LayerEdit)),
  }),
  bench: z.object({ openThings: z.int().min(1).max(50), sittingMinutes: z.number().min(10).max(90) }),
});
export type Plan = z.infer<typeof Plan>;

/** Some sections of a plan, each whole. */
export const PlanChange = Plan.partial();
export type PlanChange = z.infer<typeof PlanChange>;

export const STAGES = ['page', 'wheel', 'light', 'layers', 'bench', 'record'] as const;
export const Stage = z.enum(STAGES);
export type Stage = z.infer<typeof Stage>;

/** One change to a plan, as it is sent, logged and undone. */
export const Command = z.object({
  id: Id,
  stage: Stage,
  /** What was done, in a few words: "name Brass bell". */
  label: z.string().trim().min(1).max(120),
  /** Revision of the plan that it was made against. */
  baseRevision: z.int().min(0),
  change: PlanChange.refine((change) => Object.keys(change).length > 0, 'A change changes at least one section.'),
});
export type Command = z.infer<typeof Command>;

/** A plan as nothing has been decided yet. */
export function emptyPlan(page: Page): Plan {
  return {
    page,
    things: [],
    wheel: { anchor: 60, scheme: 'complementary' },
    families: {},
    light: { kind: 'ambient' },
    forms: {},
    layers: { school: 'base-coat-first', schools: {}, edits: {} },
    bench: { openThings: 4, sittingMinutes: 40 },
  };
}
