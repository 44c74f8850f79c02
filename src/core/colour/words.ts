import { type Lab } from './lab.ts';
import { oklchOfLab } from './oklch.ts';
import { placeAt, wheelOfHue } from './wheels/index.ts';

/** Below this OKLCH chroma a colour reads as grey beside coloured pencils. */
const GREY_CHROMA = 0.022;

/** Names a colour as a colourist would say it, from its value, chroma and place on the painter's wheel: "dark dull red". */
export function wordsFor(lab: Lab): string {
  const { l, c, h } = oklchOfLab(lab);
  const value = l < 0.3 ? 'very dark' : l < 0.48 ? 'dark' : l > 0.92 ? 'very pale' : l > 0.82 ? 'pale' : '';
  if (c < GREY_CHROMA) return l < 0.26 ? 'near black' : l > 0.95 ? 'near white' : join(value, 'grey');
  const hue = placeAt(wheelOfHue(h)).name;
  const earth = c < 0.11 && l < 0.62 && h > 30 && h < 100;
  if (earth) return join(value, l < 0.42 ? 'brown' : `${hue} brown`);
  return join(value, c < 0.09 ? 'dull' : c > 0.16 ? 'clear' : '', hue);
}

function join(...words: string[]): string {
  return words.filter(Boolean).join(' ');
}
