import { type Pinned } from './page.ts';
import type { PaletteWishes, WheelSetting } from './schemas.ts';

/** Axes of a mood, each from -1 to 1; null: free. */
export const MOOD_AXES = [
  { id: 'light', less: 'dark', more: 'light' },
  { id: 'clear', less: 'dull', more: 'clear' },
  { id: 'warm', less: 'cool', more: 'warm' },
  { id: 'contrast', less: 'quiet', more: 'contrasting' },
] as const;
export type MoodAxis = (typeof MOOD_AXES)[number]['id'];
export type Mood = PaletteWishes['mood'];
export const FREE_MOOD: Mood = { light: null, clear: null, warm: null, contrast: null };

/** Shares of the area for the ruling voice, the supporting ones and the accents, in percent. */
export const USUAL_SHARES = [60, 30, 10] as const;

/** What a person wants of a palette; what is left out is free. */
export interface Wishes
  extends
    Pick<WheelSetting, 'anchor' | 'scheme'>,
    Partial<Pick<WheelSetting, 'hands'>>,
    Partial<Omit<PaletteWishes, 'anyNature'>> {
  /** Id of a wheel; default the painter's. */
  wheel?: string;
  /** Families that stay as they are, by thing id. */
  pinned?: Pinned;
}
