import { type Lab } from './lab.ts';
import { oklchOfLab } from './oklch.ts';
import { placeAt, wheelOfHue } from './wheels/index.ts';

/** Below this OKLCH chroma a colour reads as grey beside coloured pencils. */
const GREY_CHROMA = 0.022;
/** OKLCH lightness from which a colour is called by how dark or pale it is. Assumptions, as all of these words are. */
const VALUES = { nearBlack: 0.26, veryDark: 0.3, dark: 0.48, pale: 0.82, veryPale: 0.92, nearWhite: 0.95 };
/** OKLCH chroma below which a hue is called dull, and above which clear. */
const CHROMAS = { dull: 0.09, clear: 0.16 };
/** Dark, dull oranges and yellows are called browns: OKLCH chroma, lightness and hue, and where brown needs no hue. */
const EARTH = { chroma: 0.11, lightness: 0.62, from: 30, to: 100, brown: 0.42 };

/** Names a colour as a colourist would say it, from its value, chroma and place on the painter's wheel: "dark dull red". */
export function wordsFor(lab: Lab): string {
  const { l, c, h } = oklchOfLab(lab);
  const value = valueWord(l);
  if (c < GREY_CHROMA) {
    return l < VALUES.nearBlack ? 'near black' : l > VALUES.nearWhite ? 'near white' : join(value, 'grey');
  }
  const hue = placeAt(wheelOfHue(h)).name;
  const earth = c < EARTH.chroma && l < EARTH.lightness && h > EARTH.from && h < EARTH.to;
  if (earth) return join(value, l < EARTH.brown ? 'brown' : `${hue} brown`);
  return join(value, c < CHROMAS.dull ? 'dull' : c > CHROMAS.clear ? 'clear' : '', hue);
}

function valueWord(l: number): string {
  if (l < VALUES.dark) return l < VALUES.veryDark ? 'very dark' : 'dark';
  if (l > VALUES.pale) return l > VALUES.veryPale ? 'very pale' : 'pale';
  return '';
}

function join(...words: string[]): string {
  return words.filter(Boolean).join(' ');
}
