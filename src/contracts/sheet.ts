import { z } from 'zod';
import { Hex, Id, Name, Origin, Time } from './primitives.ts';
import { SHAPE_KINDS } from '../core/lineart/index.ts';
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

const Point = z.object({ x: z.number(), y: z.number() });

/** The regions of a sheet without their raster. */
export const RegionsMeta = z.object({
  /** Hash of picture, resolution and options that they were found with. */
  from: z.string().min(1).max(200),
  width: z.int().min(1).max(16_384),
  height: z.int().min(1).max(16_384),
  pixelsPerMm: z.number().positive(),
  regions: z
    .array(
      z.object({
        id: z.int().min(1).max(65_535),
        areaMm2: z.number().positive(),
        usableWidthMm: z.number().positive(),
        pole: Point,
        centroid: Point,
        box: z.object({ left: z.number(), top: z.number(), right: z.number(), bottom: z.number() }),
        axisDegrees: z.number(),
        lengthMm: z.number(),
        breadthMm: z.number(),
        holes: z.int().min(0),
        shape: z.enum(SHAPE_KINDS),
      }),
    )
    .min(1)
    .max(65_535),
  neighbours: z.array(z.object({ a: z.int(), b: z.int(), lengthMm: z.number() })),
  /** What was read from the page in colour: the paper and every region that is not bare; null where nothing was read. */
  seen: z
    .object({
      paper: Hex,
      grounds: z.array(
        z.object({ region: z.int().min(1).max(65_535), kind: z.enum(['printed grey', 'coloured']), colour: Hex }),
      ),
    })
    .nullable()
    .default(null),
  /** Sets of regions of the same shape, the largest set first. */
  alike: z.array(z.array(z.int().min(1).max(65_535)).min(2)),
  doubts: z.array(
    z.discriminatedUnion('kind', [
      z.object({ kind: z.literal('fleck'), at: Point, areaMm2: z.number() }),
      z.object({
        kind: z.literal('gap'),
        at: Point,
        from: Point,
        to: Point,
        gapeMm: z.number().min(0),
        closed: z.boolean(),
      }),
    ]),
  ),
});
export type RegionsMeta = z.infer<typeof RegionsMeta>;
