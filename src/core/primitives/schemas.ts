import { z } from 'zod';

/** A client-made id: sending the same one twice changes nothing twice. */
export const Id = z
  .string()
  // Ids are keys of records, where this one would be lost.
  .regex(/^(?!__proto__$)[A-Za-z0-9_-]{6,40}$/, 'An id has 6 to 40 letters, digits, - or _.');

export const Hex = z.string().regex(/^#[0-9a-f]{6}$/i, 'A colour is written as # and six digits.');

/** CIE Lab, D65, 2 degrees. */
export const LabColour = z
  .tuple([z.number().min(-5).max(105), z.number().min(-150).max(150), z.number().min(-150).max(150)])
  .readonly();

/** From nothing to all of it. */
export const Share = z.number().min(0).max(1);

/** A point on the page in millimetres from its top left corner, y down. */
export const PointMm = z.object({ x: z.number(), y: z.number() });
export type PointMm = z.infer<typeof PointMm>;

/** The same where a person may set it: on the page or just beside it. */
export const PointOnPage = z.object({ x: z.number().min(-5).max(1300), y: z.number().min(-5).max(1300) });
