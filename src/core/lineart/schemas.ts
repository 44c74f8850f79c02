import { z } from 'zod';
import { Hex, PointMm, PointOnPage } from '../primitives/schemas.ts';
import { SHAPE_KINDS } from './shape-kinds.ts';

/** 1 and up, in reading order. */
export const RegionId = z.number().int().min(1).max(65_535);

/** One closed white area of the page. Area and usable width are those of its white part. */
export const Region = z.object({
  id: RegionId,
  areaMm2: z.number().positive(),
  /** Diameter of the largest circle that fits: what a pencil has to work in. */
  usableWidthMm: z.number().positive(),
  /** Centre of that circle. */
  pole: PointMm,
  centroid: PointMm,
  /** Edges, mm of the page. */
  box: z.object({ left: z.number(), top: z.number(), right: z.number(), bottom: z.number() }),
  /** Direction of the long axis, degrees clockwise from +x, 0..180. */
  axisDegrees: z.number(),
  /** Extent along that axis and across it, to the middle of the lines around. */
  lengthMm: z.number(),
  breadthMm: z.number(),
  /** Islands in it: other regions, or parts of the margin, that it runs round. */
  holes: z.int().min(0),
  shape: z.enum(SHAPE_KINDS),
});
export type Region = z.infer<typeof Region>;

/** Two regions that share a printed line, `a` < `b`. */
export const Border = z.object({ a: z.int(), b: z.int(), lengthMm: z.number() });
export type Border = z.infer<typeof Border>;

/** Something about the page that a person should look at. */
export const Doubt = z.discriminatedUnion('kind', [
  /** A white fleck smaller than the smallest region that matters; it was left out. */
  z.object({ kind: z.literal('fleck'), at: PointMm, areaMm2: z.number() }),
  /** An outline that gapes. Sure gaps were closed; the others wait for a person's word. */
  z.object({
    kind: z.literal('gap'),
    at: PointMm,
    from: PointMm,
    to: PointMm,
    gapeMm: z.number().min(0),
    closed: z.boolean(),
  }),
]);
export type Doubt = z.infer<typeof Doubt>;

/** What was read from a page in colour. */
export const SeenColours = z.object({
  paper: Hex,
  /** Every region that is not bare. */
  grounds: z.array(z.object({ region: RegionId, kind: z.enum(['printed grey', 'coloured']), colour: Hex })),
});
export type SeenColours = z.infer<typeof SeenColours>;

/** What was mended by hand on the regions, in mm of the page. */
export const Mend = z.discriminatedUnion('kind', [
  /** A line drawn across a region, or over a gap: what lies on its two sides is parted. */
  z.object({ kind: z.literal('cut'), points: z.array(PointOnPage).min(2).max(400).readonly() }),
  /** An opening that is meant: no gap is closed near here. */
  z.object({ kind: z.literal('open'), at: PointOnPage }),
  /** Two places that belong to one region although a line lies between them. */
  z.object({ kind: z.literal('join'), a: PointOnPage, b: PointOnPage }),
  /** The white part here is no region. */
  z.object({ kind: z.literal('drop'), at: PointOnPage }),
]);
export type Mend = z.infer<typeof Mend>;

/** How the regions of a sheet are found. */
export const SegmentationOptions = z.object({
  /** How pale ink may be, from 0, only black, to 1, anything darker than paper; 0.5 is the page's own threshold. */
  palestInk: z.number().min(0).max(1),
  /** The widest gap in an outline that is closed or asked about; 0 leaves all open. */
  closeGapMm: z.number().min(0).max(3),
  /** White areas smaller than this are left out and listed as doubts. */
  minRegionMm2: z.number().min(0.05).max(20),
  mends: z.array(Mend).max(3000),
});
export type SegmentationOptions = z.infer<typeof SegmentationOptions>;
