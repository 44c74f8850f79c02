import { type Option } from './options.ts';

/** How distance may show in a palette, the usual way first. */
export const DISTANCES = [
  {
    id: 'scene',
    name: 'far things pale and quiet',
    says: 'In a scene what is far is paler, cooler and quieter, what is near darker and clearer.',
  },
  { id: 'warm near', name: 'near warm, far cool', says: 'The same, and what is near is warm too.' },
  { id: 'none', name: 'no distance', says: 'Near and far are coloured alike.' },
] as const;
export type Distance = (typeof DISTANCES)[number]['id'];
export const DISTANCE_IDS = DISTANCES.map(({ id }) => id);

/** What far things are at least as pale as and at most as clear as, and near ones the other way; and how far off counts whole. */
const FAR = { value: 62, chroma: 0.05 };
const NEAR = { value: 74, chroma: 0.06 };
const WHOLE = { value: 30, chroma: 0.08 };
/** Shares of value, chroma and temperature in it. Assumptions. */
const SHARES = { value: 0.45, chroma: 0.35, warmth: 0.2, wishedWarmth: 0.6 };

/**
 * How far a colour is off what its distance asks, 0..1.5.
 * @param far 0 for the nearest of a scene to 1 for the farthest; the middle may have any colour
 */
export function offDistance(
  { body, chroma, warm }: Pick<Option, 'body' | 'chroma' | 'warm'>,
  far: number,
  distance: Exclude<Distance, 'none'>,
): number {
  const away = 2 * far - 1;
  const over = (value: number, whole: number) => Math.min(1.5, Math.max(0, value) / whole);
  const wished = distance === 'warm near';
  const warmth = wished ? SHARES.wishedWarmth : SHARES.warmth;
  if (away > 0) {
    const dark = over(FAR.value - body[0], WHOLE.value);
    const loud = over(chroma - FAR.chroma, WHOLE.chroma);
    return away * (SHARES.value * dark + SHARES.chroma * loud + warmth * warm);
  }
  const pale = over(body[0] - NEAR.value, WHOLE.value);
  const dull = over(NEAR.chroma - chroma, WHOLE.chroma);
  return -away * (SHARES.value * pale + SHARES.chroma * dull + (wished ? warmth * (1 - warm) : 0));
}
