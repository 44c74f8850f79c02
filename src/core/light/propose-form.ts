import { type Region } from '../lineart/index.ts';

/** A thing whose largest region covers more than this share of the page is a background. */
const BACKGROUND_SHARE = 0.06;

/**
 * Proposes a form for a thing from what it is made of, and else from how much of the page its largest region covers and
 * where that lies: large areas in the upper half fade down like a sky, in the lower half fade up like water; large areas
 * of a stated material are flat, and everything smaller is raised.
 * @param material id of its material; null where nobody said
 * @returns a form's id
 */
export function proposeForm(
  regions: readonly Region[],
  page: { widthMm: number; heightMm: number },
  material: string | null = null,
): string {
  if (material === 'sky') return 'fades-down';
  if (material === 'water') return 'fades-up';
  const largest = regions.reduce((a, b) => (b.areaMm2 > a.areaMm2 ? b : a));
  const wide = BACKGROUND_SHARE * page.widthMm * page.heightMm;
  if (material !== null && regions.reduce((sum, { areaMm2 }) => sum + areaMm2, 0) > wide) return 'flat';
  if (largest.areaMm2 < wide) return 'raised';
  return largest.centroid.y < page.heightMm / 2 ? 'fades-down' : 'fades-up';
}
