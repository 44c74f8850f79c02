import { type Desk } from './desk-context.ts';

/** Longest side of a preview, pixels: fine enough for the desk, quick enough to scrub. */
const PREVIEW_SIDE = 1300;
/** A preview has so many pixels across each of the screen's: with fewer, lines and edges of regions fray. */
const OVERSAMPLED = 2;
/** A first look is worked out at so many times fewer pixels across and down, so that it comes at once. */
export const FIRST_LOOK = 2;

/** How many of the working picture's pixels a preview steps over at its finest. */
export function stepFor({ picture }: Pick<Desk, 'picture'>): number {
  return Math.max(1, Math.ceil(Math.max(picture.width, picture.height) / PREVIEW_SIDE));
}

/**
 * How many it steps over where the sheet is shown at a scale: no more is worked out than can be told apart there.
 * @param scale CSS pixels per pixel of the working picture
 * @param devicePixels per CSS pixel
 */
export function stepAt(scale: number, devicePixels: number, finest: number): number {
  return Math.max(finest, Math.floor(1 / (OVERSAMPLED * scale * devicePixels)));
}

/** One look of a preview: what it steps over, and whether it is a first one, which tells fewer tones apart. */
export interface Look {
  step: number;
  first: boolean;
}

/** The looks of a preview, one after the other: a first one that comes at once, and a fine one. */
export function looksAt(step: number, finest: number): Look[] {
  const quick = step >= FIRST_LOOK * finest ? step : step * FIRST_LOOK;
  return [
    { step: quick, first: true },
    { step, first: false },
  ];
}
