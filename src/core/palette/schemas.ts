import { z } from 'zod';
import { Id } from '../primitives/schemas.ts';
import { DISTANCE_IDS } from './distance.ts';
import { MOST_HANDS } from './schemes/index.ts';

/** How the colour wheel stands. */
export const WheelSetting = z.object({
  /** Degrees on that wheel. */
  anchor: z.number().min(0).max(360),
  /** Id of a scheme. */
  scheme: z.string().max(40),
  /** Which wheel angles are measured on. */
  wheel: z.enum(['painters', 'perceptual']),
  /** Hands of a free scheme, degrees from the anchor; none: the scheme's own. */
  hands: z.array(z.number().min(-360).max(360)).max(MOST_HANDS).readonly(),
});
export type WheelSetting = z.infer<typeof WheelSetting>;

/** From less to more; null: free. */
const MoodAxis = z.number().min(-1).max(1).nullable();
const Percent = z.number().min(0).max(100);

/** What a person wants of a palette, beside how the wheel stands and what is said of single things. */
export const PaletteWishes = z.object({
  /** Pencils that must come in, and that must not. */
  must: z.array(Id).max(60).readonly(),
  mustNot: z.array(Id).max(1000).readonly(),
  /** The only pencils that may come in; none: every one. */
  only: z.array(Id).max(200).readonly(),
  /** No more pencils than these in all; null: as few as do. */
  atMost: z.int().min(1, 'A palette has at least one pencil.').max(200).nullable(),
  mood: z.object({ light: MoodAxis, clear: MoodAxis, warm: MoodAxis, contrast: MoodAxis }).readonly(),
  /** Whether sky, water, leaves and the like may have any colour. */
  anyNature: z.boolean(),
  /** How near and far are told apart; plans that do not say it have it as scenes usually do. */
  distance: z.enum(DISTANCE_IDS).default('scene'),
  /** Percent of the area for ruling, supporting and accent; they are taken as parts of their sum. */
  shares: z.tuple([Percent, Percent, Percent]).readonly(),
});
export type PaletteWishes = z.infer<typeof PaletteWishes>;
