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
/** OKLCH lightness from the middle of a family to each of its ends. */
const REACH = 0.22;

/**
 * The colours that a part asks for, from dark to light. A hue is dark or light by nature (yellow is pale, violet
 * deep), so the middle value follows the hue; darks lean towards violet and lights towards yellow by a few degrees, as
 * shadow and light do.
 * @param count how many pencils, 1 to 5; one asks for the middle alone
 */
export function targetsOf({ angle, clarity, key }: Part, wheel: ColourWheel, count: number): Lab[] {
  const hue = wheel.hueOf(angle);
  const round = (wheelOfHue(hue) * Math.PI) / 180;
  const l = 0.6 + 0.09 * Math.cos(round) + SHIFT[key];
  const lean = 10 * Math.sin(round);
  return Array.from({ length: count }, (_, i) => {
    const out = placeFromBody(i, count);
    const chroma = CHROMA[clarity] * (out < 0 ? 1 + 0.25 * out : 1 - 0.3 * out);
    return labOfOklch({
      l: Math.min(0.95, Math.max(0.24, l + REACH * out)),
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
  const nature = 0.6 + 0.09 * Math.cos((wheelOfHue(h) * Math.PI) / 180);
  return {
    angle: Math.round(wheel.angleOf(h)) % 360,
    clarity: c < 0.045 ? 'grey' : c < 0.11 ? 'quiet' : 'clear',
    key: l < nature - 0.08 ? 'deep' : l > nature + 0.08 ? 'pale' : 'middle',
  };
}
