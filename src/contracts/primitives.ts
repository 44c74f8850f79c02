import { z } from 'zod';

export const Name = z.string().trim().min(1, 'Give it a name.').max(60, 'A name has at most 60 letters.');
export const Millimetres = z
  .number({ error: 'A size is a number of millimetres.' })
  .min(20, 'A page is at least 20 mm wide and high.')
  .max(1200, 'A page is at most 1,200 mm wide and high.');
export const Origin = z.enum(['demo', 'own']);
export type Origin = z.infer<typeof Origin>;
export const Time = z.iso.datetime();

/** What every refused request answers with. */
export const Refusal = z.object({
  /** One sentence that a colourist can act on. */
  sentence: z.string(),
  /** The newer state of the sheet, where the request was made against an older one. */
  revision: z.number().int().optional(),
  /** What was to be changed here, and what was changed in the same place elsewhere meanwhile. */
  conflict: z.object({ here: z.string(), there: z.string() }).optional(),
});
export type Refusal = z.infer<typeof Refusal>;
