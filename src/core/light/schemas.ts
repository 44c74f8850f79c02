import { z } from 'zod';
import { Id } from '../primitives/schemas.ts';

/** The light that falls on the whole page. */
export const MainLight = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('ambient') }),
  z.object({
    kind: z.literal('direction'),
    /** Where the light comes from: degrees clockwise from +x, y down, so 270 is from above. */
    azimuthDegrees: z.number().min(0).max(360),
    /** Height above the page, 5 (raking) to 90 (overhead) degrees. */
    heightDegrees: z.number().min(5).max(90),
  }),
  /** From behind what is drawn: its rims are pale and its middles dark. */
  z.object({ kind: z.literal('behind') }),
]);
export type MainLight = z.infer<typeof MainLight>;

/** Light that something sheds around it. */
export const Light = z.object({
  /** How far from its edge the glow is seen. */
  reachMm: z.number().min(1, 'A glow reaches at least 1 mm.').max(300, 'A glow reaches at most 300 mm.'),
  /** How bright it is beside its edge. */
  strength: z.number().min(0.05).max(1),
  /** A pencil of the colour of its light; null: the colour of what glows. */
  pencil: Id.nullable(),
});
export type Light = z.infer<typeof Light>;
