import { type Pinned } from './page.ts';

/** Axes of a mood, each from -1 to 1; null: free. */
export const MOOD_AXES = [
  { id: 'light', less: 'dark', more: 'light' },
  { id: 'clear', less: 'dull', more: 'clear' },
  { id: 'warm', less: 'cool', more: 'warm' },
  { id: 'contrast', less: 'quiet', more: 'contrasting' },
] as const;
export type MoodAxis = (typeof MOOD_AXES)[number]['id'];
export type Mood = Readonly<Record<MoodAxis, number | null>>;
export const FREE_MOOD: Mood = { light: null, clear: null, warm: null, contrast: null };

/** Shares of the area for the ruling voice, the supporting ones and the accents, in percent. */
export const USUAL_SHARES = [60, 30, 10] as const;

/** What a person wants of a palette. */
export interface Wishes {
  /** Id of a wheel; default the painter's. */
  wheel?: string;
  /** Anchor on that wheel, degrees. */
  anchor: number;
  /** Id of a scheme. */
  scheme: string;
  /** Hands of a free scheme, degrees from the anchor. */
  hands?: readonly number[];
  /** Pencils that must come in, and that must not, by id. */
  must?: readonly string[];
  mustNot?: readonly string[];
  /** The only pencils that may come in, by id; none or empty: every one. */
  only?: readonly string[];
  /** No more pencils than these in all; null: as few as do. */
  atMost?: number | null;
  mood?: Mood;
  /** Percent of the area for ruling, supporting and accent; they are taken as parts of their sum. */
  shares?: readonly [number, number, number];
  /** Families that stay as they are, by thing id. */
  pinned?: Pinned;
}
