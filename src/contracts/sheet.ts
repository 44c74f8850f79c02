import { z } from 'zod';
import { Border, Doubt, Region, RegionId, SeenColours } from '../core/lineart/schemas.ts';
import { Id } from '../core/primitives/schemas.ts';
import { Name, Origin, Time } from './primitives.ts';
import { Plan } from './plan.ts';

export const SHEET_PLACES = ['shelf', 'drawer', 'bin'] as const;
export const SheetPlace = z.enum(SHEET_PLACES);
export type SheetPlace = z.infer<typeof SheetPlace>;

/** A sheet as the shelf shows it. */
export const SheetCard = z.object({
  id: Id,
  title: Name,
  origin: Origin,
  widthMm: z.number(),
  heightMm: z.number(),
  paper: z.string(),
  regions: z.int(),
  things: z.int(),
  stepsDone: z.int(),
  steps: z.int(),
  place: SheetPlace,
  pictureHash: z.string(),
  updatedAt: Time,
});
export type SheetCard = z.infer<typeof SheetCard>;

/** A sheet as its stages work on it. */
export const SheetState = z.object({
  id: Id,
  title: Name,
  origin: Origin,
  trayId: Id,
  /** Size of the working picture, pixels. */
  picture: z.object({ width: z.int(), height: z.int(), hash: z.string() }),
  /** Width of the picture as it was brought in, pixels; null where it is no scan. */
  scannedWidth: z.int().nullable(),
  /** Hash of the page in colour, smaller; null where it was printed as a drawing. */
  coloursHash: z.string().nullable(),
  /** Whether the sheet came with a key that names its things. */
  hasKey: z.boolean(),
  revision: z.int(),
  plan: Plan,
  /** What undo and redo would do, or null. */
  undo: z.string().nullable(),
  redo: z.string().nullable(),
});
export type SheetState = z.infer<typeof SheetState>;

export const SheetEdit = z.object({ title: Name.optional(), trayId: Id.optional(), place: SheetPlace.optional() });
export type SheetEdit = z.infer<typeof SheetEdit>;

/** The regions of a sheet without their raster. */
export const RegionsMeta = z.object({
  /** Hash of picture, resolution and options that they were found with. */
  from: z.string().min(1).max(200),
  width: z.int().min(1).max(16_384),
  height: z.int().min(1).max(16_384),
  pixelsPerMm: z.number().positive(),
  regions: z.array(Region).min(1).max(65_535),
  neighbours: z.array(Border),
  /** Null where nothing was read. */
  seen: SeenColours.nullable().default(null),
  /** Sets of regions of the same shape, the largest set first. */
  alike: z.array(z.array(RegionId).min(2)),
  doubts: z.array(Doubt),
});
export type RegionsMeta = z.infer<typeof RegionsMeta>;
