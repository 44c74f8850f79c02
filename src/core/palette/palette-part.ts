import { type ColourWheel, type Lab, labOfOklch, wheelOfHue } from '../colour/index.ts';

/** How clear a colour is meant to be. */
export const CLARITIES = ['clear', 'quiet', 'grey'] as const;
export type Clarity = (typeof CLARITIES)[number];
/** Where a thing lies between dark and light. */
export const KEYS = ['deep', 'middle', 'pale'] as const;
export type Key = (typeof KEYS)[number];

/** The part that a thing plays in the palette: its hue, chroma and value. */
export interface Part {
  /** Place on the wheel in use, degrees. */
  angle: number;
  clarity: Clarity;
  key: Key;
}

const CHROMA: Record<Clarity, number> = { clear: 0.13, quiet: 0.08, grey: 0.03 };
const SHIFT: Record<Key, number> = { deep: -0.13, middle: 0, pale: 0.13 };
/** OKLCH lightness from the middle of a family to each of its ends, and the darkest and palest of all. Assumptions. */
const REACH = 0.22;
const DARKEST = 0.24;
const PALEST = 0.95;
/** OKLCH lightness that hues have by nature: the mean, and by how much yellow is above and violet below it. */
const NATURE = { mean: 0.6, swing: 0.09 };
/** By how many degrees the ends of a family lean, and how much of their chroma the dark and the light end lose. */
const LEAN = 10;
const FADES = { dark: 0.25, light: 0.3 };
/** OKLCH chroma below which a colour plays a grey and a quiet part; lightness off its hue's nature that makes it deep or pale. */
const PLAYS = { grey: 0.045, quiet: 0.11, offNature: 0.08 };

/**
 * The colours that a part asks for, from dark to light. A hue is dark or light by nature (yellow is pale, violet
 * deep), so the middle value follows the hue; darks lean towards violet and lights towards yellow by a few degrees, as
 * shadow and light do.
 * @param count how many pencils, 1 to 8; one asks for the middle alone
 */
export function targetsOf({ angle, clarity, key }: Part, wheel: ColourWheel, count: number): Lab[] {
  const hue = wheel.hueOf(angle);
  const round = (wheelOfHue(hue) * Math.PI) / 180;
  const l = natureOf(hue) + SHIFT[key];
  const lean = LEAN * Math.sin(round);
  return Array.from({ length: count }, (_, i) => {
    const out = placeFromBody(i, count);
    const chroma = CHROMA[clarity] * (out < 0 ? 1 + FADES.dark * out : 1 - FADES.light * out);
    return labOfOklch({
      l: Math.min(PALEST, Math.max(DARKEST, l + REACH * out)),
      c: chroma,
      h: wheel.hueOf(angle - lean * out),
    });
  });
}

/**
 * How far out a pencil stands in a family, -1 at the dark end to 1 at the light one: 0 for the one that gives the family
 * its colour, so that this colour is what was asked for however many pencils there are.
 * @param place 0 is the darkest
 */
export function placeFromBody(place: number, count: number): number {
  const body = Math.floor((count - 1) / 2);
  return (place - body) / Math.max(1, count - 1 - body);
}

/** The part that a colour plays by nature. */
export function partOf({ l, c, h }: { l: number; c: number; h: number }, wheel: ColourWheel): Part {
  const nature = natureOf(h);
  return {
    angle: Math.round(wheel.angleOf(h)) % 360,
    clarity: c < PLAYS.grey ? 'grey' : c < PLAYS.quiet ? 'quiet' : 'clear',
    key: l < nature - PLAYS.offNature ? 'deep' : l > nature + PLAYS.offNature ? 'pale' : 'middle',
  };
}

/** OKLCH lightness of a hue where it is clearest: yellow is pale, violet deep. */
function natureOf(hue: number): number {
  return NATURE.mean + NATURE.swing * Math.cos((wheelOfHue(hue) * Math.PI) / 180);
}
