import { z } from 'zod';
import { PRESSURES } from '../core/laydown/index.ts';
import { Hand, PaperFit, PatchKind, PencilFit, SwatchGround } from '../core/laydown/schemas.ts';
import { Hex, Id, LabColour } from '../core/primitives/schemas.ts';
import { MOST_PAGES, ROWS_ON_A_PAGE } from '../core/swatch-card/index.ts';
import { Name, Origin, Time } from './primitives.ts';

export const WHEREABOUTS = ['here', 'stub', 'missing', 'ordered'] as const;
export const Whereabouts = z.enum(WHEREABOUTS);
export type Whereabouts = z.infer<typeof Whereabouts>;

const MOST_ON_A_CARD = MOST_PAGES * ROWS_ON_A_PAGE;
const type = z.string().max(40);
const opacity = z.number().min(0).max(1).nullable();

export const Pencil = z.object({
  id: Id,
  trayId: Id,
  set: z.string().max(60),
  code: z.string().trim().min(1).max(24),
  name: z.string().max(60),
  /** What its owner calls it. */
  ownName: z.string().max(60),
  /** Id of a pencil type. */
  type,
  /** Declared masstone. */
  colour: Hex,
  /** 0 (translucent) to 1 (covering), or null for the type's own. */
  opacity,
  whereabouts: Whereabouts,
  /** Colour of the barrel where it misleads, or null. */
  barrel: Hex.nullable(),
  /** What its owner knows of it. */
  note: z.string().max(200),
  /** 0 (soft) to 1 (hard), or null while nobody said. */
  hardness: z.number().min(0).max(1).nullable(),
  /** Minutes that a sharp point lasts, or null. */
  pointMinutes: z.number().positive().nullable(),
  /** Length of lead that is left, mm, or null. */
  leadMm: z.number().min(0).max(400).nullable(),
  origin: Origin,
});
export type Pencil = z.infer<typeof Pencil>;

/** Whether a pencil can be taken up: a stub can, one that is missing or only ordered cannot. */
export function isHere({ whereabouts }: Pick<Pencil, 'whereabouts'>): boolean {
  return whereabouts === 'here' || whereabouts === 'stub';
}

export const NewPencil = z.object({
  id: Id,
  code: z.string().trim().min(1, 'A pencil needs a code.').max(24),
  name: z.string().trim().max(60),
  set: z.string().trim().max(60),
  type,
  colour: Hex,
  opacity,
});
export type NewPencil = z.infer<typeof NewPencil>;

/** Copies pencils of other trays into this one; those whose set and code are there already are left as they are. */
export const CopyPencils = z.object({ pencilIds: z.array(Id).min(1, 'Choose at least one pencil.').max(1000) });
export const CopyResult = z.object({ copied: z.int(), there: z.int() });
export type CopyResult = z.infer<typeof CopyResult>;

export const PencilEdit = z.object({
  whereabouts: Whereabouts.optional(),
  name: z.string().trim().max(60, 'Keep the name below 60 letters.').optional(),
  ownName: z.string().trim().max(60, 'Keep the name below 60 letters.').optional(),
  type: type.optional(),
  colour: Hex.optional(),
  opacity: opacity.optional(),
  note: z.string().trim().max(200, 'Keep the note below 200 letters.').optional(),
  hardness: z.number().min(0).max(1).nullable().optional(),
  leadMm: z.number('Write the length in mm.').min(0).max(400, 'No lead is longer than 400 mm.').nullable().optional(),
});
export type PencilEdit = z.infer<typeof PencilEdit>;

/** The same edit to several pencils of a tray. */
export const PencilEdits = z.object({
  pencilIds: z.array(Id).min(1, 'Choose at least one pencil.').max(2000),
  edit: PencilEdit,
});
export type PencilEdits = z.infer<typeof PencilEdits>;

export const Tray = z.object({ id: Id, name: Name, origin: Origin, pencils: z.int() });
export type Tray = z.infer<typeof Tray>;

/** One patch of a pencil as an instrument read it. */
export const NewSwatch = z.object({
  id: z.string().min(6).max(80),
  paper: z.string().max(40),
  patch: PatchKind,
  ground: SwatchGround,
  lab: LabColour,
  /** Another pencil of which the same patch was laid over it, or null. */
  over: Id.nullable().default(null),
});
export type NewSwatch = z.input<typeof NewSwatch>;
export const Swatch = NewSwatch.extend({ pencilId: Id, origin: Origin, at: Time });
export type Swatch = z.infer<typeof Swatch>;

/** A swatch card that is printed, to be filled in and read: which pencils stand on it, or how many rows are empty. */
export const NewCard = z
  .object({
    id: Id,
    paper: z.string().max(40),
    /** In the order of its rows; none for a card with empty rows. */
    pencilIds: z.array(Id).max(MOST_ON_A_CARD, `A card holds at most ${MOST_ON_A_CARD} pencils; print two.`),
    emptyRows: z.int().min(0).max(MOST_ON_A_CARD),
  })
  .refine(({ pencilIds, emptyRows }) => pencilIds.length > 0 !== emptyRows > 0, {
    error: 'A card stands for some pencils or has empty rows.',
  });
export type NewCard = z.infer<typeof NewCard>;
export const SwatchCard = NewCard.safeExtend({
  trayId: Id,
  /** Printed on it in boxes, so that a picture says which card it is. */
  number: z.int().min(0).max(1023),
  origin: Origin,
  at: Time,
});
export type SwatchCard = z.infer<typeof SwatchCard>;

/** Patches of several pencils of a tray, as they were read; all are kept or none. */
export const AddReadings = z.object({
  readings: z
    .array(NewSwatch.extend({ pencilId: Id }))
    .min(1, 'Nothing was read.')
    .max(6000),
});
export type AddReadings = z.input<typeof AddReadings>;

/** On which papers each pencil of a tray was read, by pencil id; those that never were are left out. */
export const ReadOn = z.record(Id, z.array(z.string()));
export type ReadOn = z.infer<typeof ReadOn>;

/** Pencils that come into a tray, with what was read of them; with readings, all of them come in or none. */
export const AddPencils = z.object({
  pencils: z.array(NewPencil).min(1, 'There is no pencil to add.').max(1000),
  readings: z
    .array(NewSwatch.extend({ pencilId: Id }))
    .max(5000)
    .default([]),
});
export type AddPencils = z.input<typeof AddPencils>;

/** What the swatches of a tray on one paper come to. */
export const NewTrayFit = z.object({
  fit: PaperFit,
  /** What trial patches taught of the hand since the swatches were laid: a factor a pressure, kept apart from the fit. */
  learnt: Hand.default({}),
  pencils: z.array(z.object({ pencilId: Id, fit: PencilFit })).max(2000),
});
export type NewTrayFit = z.output<typeof NewTrayFit>;
export const TrayFit = NewTrayFit.extend({ paper: z.string().max(40), at: Time });
export type TrayFit = z.infer<typeof TrayFit>;

/** One pass of a trial patch: a pencil, or something else with the colour that it lays. */
export const TrialStep = z.union([
  z.object({ pencil: Id, pressure: z.enum(PRESSURES) }),
  z.object({ tool: z.string().max(40), pressure: z.enum(PRESSURES), colour: LabColour.optional() }),
]);
export type TrialStep = z.infer<typeof TrialStep>;

/** A trial patch: passes over one another on a paper, and what really came out where that was seen. */
export const NewTrialPatch = z.object({
  id: Id,
  title: z.string().trim().min(1, 'Give the trial a name.').max(60, 'A name has at most 60 letters.'),
  paper: z.string().max(40),
  steps: z.array(TrialStep).min(1, 'Lay something first.').max(24, 'A trial has at most 24 passes.'),
  /** As it looked in reality, or null. */
  seen: LabColour.nullable(),
  /** What it taught: the hand, a pencil by its id, or nothing yet. */
  taught: z.union([z.literal('hand'), z.object({ pencil: Id })]).nullable(),
});
export type NewTrialPatch = z.infer<typeof NewTrialPatch>;
export const TrialPatch = NewTrialPatch.extend({ trayId: Id, origin: Origin, at: Time });
export type TrialPatch = z.infer<typeof TrialPatch>;

/** What the sheets planned with a tray still take of one of its pencils. */
export const PencilWear = z.object({
  pencilId: Id,
  /** Length of lead, mm, what the sharpener takes with it, and how often that is. */
  lengthMm: z.number().min(0),
  points: z.number().min(0),
  /** Titles of the sheets. */
  sheets: z.array(z.string()),
});
export type PencilWear = z.infer<typeof PencilWear>;

export const TOOL_KINDS = ['pen', 'blender', 'barrier', 'solvent', 'eraser', 'tip'] as const;

/** A pen or tool that lies beside the pencils. */
export const NewTool = z.object({
  id: Id,
  kind: z.enum(TOOL_KINDS),
  name: Name,
  set: z.string().max(60),
  colour: Hex.nullable(),
  /** What to mind when it is used. */
  note: z.string().max(200),
});
export type NewTool = z.infer<typeof NewTool>;
export const Tool = NewTool.extend({ origin: Origin });
export type Tool = z.infer<typeof Tool>;
