import { z } from 'zod';
import { WheelSetting } from '../core/palette/schemas.ts';
import { Hex, Id } from '../core/primitives/schemas.ts';
import { MOST_PENCILS } from '../core/recipe/index.ts';
import { Name, Time } from './primitives.ts';

const Code = z.string().trim().min(1, 'A pencil needs a code.').max(24);

/** A palette that is kept apart from the sheet that it was made for, so that it can be used on another. */
export const NewPalette = z.object({
  id: Id,
  name: Name,
  /** How the wheel stood; null where it came from a file that does not say. */
  wheel: WheelSetting.nullable(),
  pencils: z
    .array(
      z.object({
        /** The pencil of the tray that it was made with; null where it came from a file. */
        id: Id.nullable(),
        code: Code,
        name: z.string().max(60),
        set: z.string().max(60),
        /** As it comes out on the paper that it was made for. */
        colour: Hex,
      }),
    )
    .min(1, 'A palette holds at least one pencil.')
    .max(200, 'A palette holds at most 200 pencils.'),
  /** What each thing had, from dark to light by code. */
  families: z.array(z.object({ thing: Name, codes: z.array(Code).min(1).max(MOST_PENCILS) })).max(500),
});
export type NewPalette = z.infer<typeof NewPalette>;

export const SavedPalette = NewPalette.extend({ at: Time });
export type SavedPalette = z.infer<typeof SavedPalette>;

/** A palette as a JSON file: the same, with a mark that says what it is. */
export const PaletteFile = NewPalette.omit({ id: true }).extend({
  kind: z.literal('harmonie palette'),
  version: z.literal(1),
});
export type PaletteFile = z.infer<typeof PaletteFile>;
