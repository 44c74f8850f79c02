import { z } from 'zod';
import { LabColour } from '../primitives/schemas.ts';
import { LADDER_PATCHES, SINGLE_PATCHES } from './calibration/patches.ts';
import { SHARED_NUMBERS } from './calibration/shared-numbers.ts';
import { PRESSURES } from './pressure.ts';

/** How a patch on a swatch card was laid. */
export const PatchKind = z.enum([...SINGLE_PATCHES, ...LADDER_PATCHES]);
export type PatchKind = z.infer<typeof PatchKind>;

/** What a patch lies on: the paper, or the dark bar printed on the card. */
export const SwatchGround = z.enum(['paper', 'bar']);
export type SwatchGround = z.infer<typeof SwatchGround>;

/** The colour of one patch as it was read. */
export const PatchReading = z.object({ patch: PatchKind, on: SwatchGround, lab: LabColour });
export type PatchReading = z.infer<typeof PatchReading>;

/** How hard one person presses beside what a pressure's name means: a factor a pressure, 1 where unknown. */
export const Hand = z.partialRecord(z.enum(PRESSURES), z.number().positive().max(10)).readonly();
export type Hand = z.infer<typeof Hand>;

/** How one paper takes pencil under this person's hand, as swatches say. */
export const PaperFit = z.object({
  /** The edition of the layer model that it was found with; what another edition says is not used. */
  model: z.int().default(1),
  /** Numbers that lie at the end of what is sought: what they stand for, the swatches cannot say. */
  atBound: z.array(z.enum(SHARED_NUMBERS)).default([]),
  /** Roughness, stray contact, tooth, spread and crush as they were found, in the units of Paper. */
  rough: z.number().min(0).max(3),
  stray: z.number().min(0).max(3).default(1),
  tooth: z.number().positive().max(10),
  spread: z.number().positive().max(3),
  crush: z.number().positive().max(5).default(1),
  /** Yule and Nielsen's n of specks on it. */
  yuleNielsen: z.number().min(0.5).max(12).default(2),
  /** How much more pigments scatter short waves, as PencilDeclaration has it. */
  slope: z.number().min(-3).max(4),
  tinted: z.number().min(-2).max(3).default(0),
  /** Never harder at a lighter name. A whisper is on no card and taken to be as the light press is. */
  hand: Hand,
});
export type PaperFit = z.infer<typeof PaperFit>;

/** One pencil as its patches say that it is, on one paper. */
export const PencilFit = z.object({
  /** How much it lays, scatters and fills of the tooth beside what is declared of it, 1 where it does as declared. */
  laydown: z.number().positive().max(20),
  scatter: z.number().positive().max(500),
  fills: z.number().positive().max(20).default(1),
  /** Colour of its full patch. */
  masstone: LabColour,
  /** How far model and reading still lie apart over its patches but the full one: root mean square, CIEDE2000. */
  apart: z.number().min(0),
  /** Readings that lie farther off than the rest, which may be worth doing again. */
  doubtful: z.array(PatchReading),
});
export type PencilFit = z.infer<typeof PencilFit>;
