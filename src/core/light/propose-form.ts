import { type Region } from '../lineart/index.ts';

/** A thing whose largest region covers more than this share of the page is taken as a background. */
const BACKGROUND_SHARE = 0.06;

/**
 * Proposes a form for a thing from how much of the page its largest region covers and where that lies: large areas in
 * the upper half fade down like a sky, in the lower half fade up like water, everything else is raised.
 * @returns a form's id
 */
export function proposeForm(regions: readonly Region[], page: { widthMm: number; heightMm: number }): string {
  const largest = regions.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
  if (largest.areaMm2 < BACKGROUND_SHARE * page.widthMm * page.heightMm) return 'raised';
  return largest.centroid.y < page.heightMm / 2 ? 'fades-down' : 'fades-up';
}
