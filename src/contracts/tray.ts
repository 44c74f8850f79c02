import { z } from 'zod';
import { Hex, Id, Name, Origin } from './primitives.ts';

export const WHEREABOUTS = ['here', 'stub', 'missing'] as const;
export const Whereabouts = z.enum(WHEREABOUTS);
export type Whereabouts = z.infer<typeof Whereabouts>;

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
  origin: Origin,
});
export type Pencil = z.infer<typeof Pencil>;

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

export const AddPencils = z.object({ pencils: z.array(NewPencil).min(1, 'There is no pencil to add.').max(1000) });
export type AddPencils = z.infer<typeof AddPencils>;

/** Copies pencils of other trays into this one; those whose set and code are there already are left as they are. */
export const CopyPencils = z.object({ pencilIds: z.array(Id).min(1, 'Choose at least one pencil.').max(1000) });
export const CopyResult = z.object({ copied: z.int(), there: z.int() });
export type CopyResult = z.infer<typeof CopyResult>;

export const PencilEdit = z.object({
  whereabouts: Whereabouts.optional(),
  ownName: z.string().trim().max(60).optional(),
});
export type PencilEdit = z.infer<typeof PencilEdit>;

export const Tray = z.object({ id: Id, name: Name, origin: Origin, pencils: z.int() });
export type Tray = z.infer<typeof Tray>;
