import { oklchOfLab, turnBetween, wheelOfHue } from '../colour/index.ts';
import { type PencilOnPaper } from '../tray/index.ts';

/** Violets: from red-violet to blue-violet on the painter's wheel. */
const VIOLET = { middle: 185, within: 38 };
/** Pink to peach: OKLCH hue, lightness and chroma of the laydown. */
const PINK = { from: -15, to: 62, leastL: 0.76, leastC: 0.025, mostC: 0.13 };
/** A family of fewer pencils is unified by its own lightest. */
const LEAST_PENCILS = 3;

/**
 * The pencil that unifies a family beside its own, by the rules of the craft: violets want a pale pink or peach, since
 * their own pale ones go grey; every other family is blended by its own lightest, the yellow where it holds one.
 * @param family pencils from dark to light
 * @param tray where a pink may be found
 * @returns null where its own lightest does it, or where the tray has no such pink
 */
export function blenderFor(family: readonly PencilOnPaper[], tray: readonly PencilOnPaper[]): PencilOnPaper | null {
  if (family.length < LEAST_PENCILS) return null;
  const hues = family.filter(({ chroma }) => chroma > 0.04).map(({ hue }) => wheelOfHue(hue));
  const violet = hues.filter((angle) => Math.abs(turnBetween(angle, VIOLET.middle)) < VIOLET.within);
  if (violet.length * 2 <= family.length) return null;
  const lightest = family.at(-1)!;
  const pinks = tray.filter((pencil) => {
    const { l, c, h } = oklchOfLab(pencil.body);
    const from = turnBetween(PINK.from, h);
    return l > PINK.leastL && c > PINK.leastC && c < PINK.mostC && from > 0 && from < PINK.to - PINK.from;
  });
  const off = ({ body }: PencilOnPaper) => Math.abs(body[0] - Math.max(lightest.body[0], 82));
  return pinks.reduce<PencilOnPaper | null>((best, each) => (best && off(best) <= off(each) ? best : each), null);
}

/** Why a family is blended as it is, in a sentence. */
export function blenderReason(family: readonly PencilOnPaper[], blender: PencilOnPaper | null): string {
  const lightest = family.at(-1)!;
  if (blender && blender.id !== lightest.id) {
    return `${blender.code} unifies it: violets want a pink or a peach, their own pale ones go grey.`;
  }
  const yellow = lightest.chroma > 0.05 && lightest.hue > 80 && lightest.hue < 118;
  return yellow
    ? `${lightest.code}, its yellow, unifies it.`
    : `${lightest.code}, its lightest, unifies it; only over its own family.`;
}
