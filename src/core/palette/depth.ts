import { oklchOfLab, turnBetween } from '../colour/index.ts';
import { type PencilOnPaper } from '../tray/index.ts';

/** Families of fewer pencils are laid on shapes that have no room for a darker one. */
const LEAST_PENCILS = 5;
/** L* of a medium laydown: a family whose darkest is as dark as this needs no other. */
const DARK_ENOUGH = 38;
/** How much darker it is at least, and at best. */
const DARKER = { least: 6, best: 14 };
/** A darker neighbour of the same hue: no further round than this, and black or grey only where there is none. */
const SAME_HUE = 35;
const GREY = 0.035;
const COLOURLESS = 14;

/**
 * The darker neighbour of a family's own hue, for its deepest shadow.
 * @param family pencils from dark to light
 * @param tray where it may be found
 * @returns null where the family is dark enough or has too few pencils, or the tray has none
 */
export function depthFor(family: readonly PencilOnPaper[], tray: readonly PencilOnPaper[]): PencilOnPaper | null {
  const dark = family[0]!;
  if (family.length < LEAST_PENCILS || dark.body[0] < DARK_ENOUGH) return null;
  const { h } = oklchOfLab(dark.body);
  let best: { pencil: PencilOnPaper; cost: number } | null = null;
  for (const pencil of tray) {
    const darker = dark.body[0] - pencil.body[0];
    if (darker < DARKER.least) continue;
    const isGrey = pencil.chroma < GREY;
    const turned = Math.abs(turnBetween(pencil.hue, h));
    if (!isGrey && turned > SAME_HUE) continue;
    const cost = 0.6 * Math.abs(darker - DARKER.best) + (isGrey ? COLOURLESS : turned / 5);
    if (!best || cost < best.cost) best = { pencil, cost };
  }
  return best?.pencil ?? null;
}
