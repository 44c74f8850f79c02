import { z } from 'zod';
import { PRESSURES, TOOLS } from '../laydown/index.ts';
import { FIELDS, MOST_SOURCES } from '../light/index.ts';
import { Id, LabColour, Share } from '../primitives/schemas.ts';
import { MOST_PENCILS, ROLES } from './roles.ts';
import { DIRECTIONS, POINTS, PULLS, STROKES } from './strokes.ts';

const ExtraPencil = Id.nullable();

/** The ordered pencils given to a thing, and what may stand beside them. */
export const Family = z.object({
  /** From the darkest to the lightest as they come out on the paper. */
  pencils: z
    .array(Id)
    .min(1, 'A family holds at least one pencil.')
    .max(MOST_PENCILS, `A family holds at most ${MOST_PENCILS} pencils.`)
    .readonly(),
  /** The light pencil that unifies the family at the end; null: its lightest does. */
  blender: ExtraPencil,
  /** An extra for the deepest shadow, darker or of another hue. */
  depth: ExtraPencil,
  /** An extra of another hue, touched in where the form turns. */
  accent: ExtraPencil,
  /** A grey or an opposite that calms the shadow before the dark goes on again. */
  neutral: ExtraPencil,
});
export type Family = z.infer<typeof Family>;

const SoftnessMm = z.number().min(0, 'An edge fades over 0 mm or more.').max(400);

/** An interval of one field, with edges that fade over some millimetres. */
export const Span = z.object({
  field: z.enum(FIELDS),
  from: Share,
  to: Share,
  /** How far each edge fades; an edge at 0 or 1 does not fade. */
  softnessMm: SoftnessMm,
  /** Way over which the field runs from 0 to 1 on the shapes that this was fitted to. */
  overMm: z.number().positive().max(2000),
  /** Whether the upper edge is hard all the same, so that nothing enters what lies beyond: a highlight. */
  hardTo: z.boolean().optional(),
  /** Of a reflection: the place of its source among those of the thing. */
  source: z
    .int()
    .min(0)
    .max(MOST_SOURCES - 1)
    .optional(),
});
export type Span = z.infer<typeof Span>;

/** The part of a region that a layer covers: an interval of one field, or what lies in two at once. */
export const Zone = Span.extend({ and: Span.optional() });
export type Zone = z.infer<typeof Zone>;

/** Unique and stable within its recipe. */
const LayerId = z.string().min(1).max(40);
/** How many times a layer is gone over. */
export const Passes = z
  .int()
  .min(1, 'A layer is gone over at least once.')
  .max(6, 'A layer is gone over at most six times.');
/** Id of a tool that works what is laid, in place of laying the pencil itself. */
export const ToolId = z
  .string()
  .max(40)
  .refine((id) => TOOLS.some((tool) => tool.id === id), 'There is no such tool.');
/** How long a layer dries before anything else is laid. */
export const DryMinutes = z.number().min(0).max(600);
/** What a layer is for, to be read at the table. */
const Purpose = z.string().trim().min(1).max(200);

/** One pencil laid in one zone, as it stands in a recipe. */
export const Layer = z.object({
  id: LayerId,
  pencil: Id,
  role: z.enum(ROLES),
  pressure: z.enum(PRESSURES),
  passes: Passes,
  zone: Zone,
  stroke: z.enum(STROKES),
  /** Where the shape does not say it. */
  direction: z.enum(DIRECTIONS).optional(),
  /** Which way it is pulled where it fades; absent where it has no soft edge. */
  pull: z.enum(PULLS).optional(),
  point: z.enum(POINTS),
  tool: ToolId.optional(),
  /** Of a tool that has a colour of its own; absent: the usual one. */
  colour: LabColour.optional(),
  dryMinutes: DryMinutes.optional(),
  purpose: Purpose,
  /** Laid only in regions at least this wide: narrower ones have no room for it. */
  fromWidthMm: z.number().min(0).max(100),
});
export type Layer = z.infer<typeof Layer>;

/** What a person changed in one layer of a recipe. */
export const LayerEdit = z
  .object({
    pencil: Id,
    pressure: z.enum(PRESSURES),
    passes: Passes,
    /** Where its zone begins and ends on its field. */
    from: Share,
    to: Share,
    softnessMm: SoftnessMm,
    hardTo: z.boolean(),
    stroke: z.enum(STROKES),
    /** Null: as the shape goes. */
    direction: z.enum(DIRECTIONS).nullable(),
    point: z.enum(POINTS),
    /** Null: the pencil itself. */
    tool: ToolId.nullable(),
    /** Null: the tool's usual one. */
    colour: LabColour.nullable(),
    dryMinutes: DryMinutes,
    purpose: Purpose,
  })
  .partial();
export type LayerEdit = z.infer<typeof LayerEdit>;

/** What a person changed in a recipe: in single layers, and in which there are and in what order. */
export const RecipeEdits = z.object({
  layers: z.record(LayerId, LayerEdit).readonly().optional(),
  /** Layers that are left out. */
  without: z.array(LayerId).max(100).readonly().optional(),
  /** Layers of a person's own. */
  added: z.array(Layer).max(40, 'A person adds at most 40 layers to a recipe.').readonly().optional(),
  /** The order in which layers are laid; those that it does not name come right after the one they came after. */
  order: z.array(LayerId).max(100).readonly().optional(),
});
export type RecipeEdits = z.infer<typeof RecipeEdits>;

/**
 * A recipe apart from the thing that it was made for: its effect, its school and what a person changed. Pencils of the
 * family are told by their places, 0 the darkest or `blender`, `depth` and so on; distances as shares of the way that
 * their field runs. So it fits any family and any width.
 */
export const Card = z.object({
  effect: z.string().max(40),
  school: z.string().max(40),
  edits: RecipeEdits,
  /** How many pencils its family had. */
  pencils: z.int().min(1).max(MOST_PENCILS),
});
export type Card = z.infer<typeof Card>;
