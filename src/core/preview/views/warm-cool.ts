import { isWarm, labOfRgb, oklchOfLab, wheelOfHue } from '../../colour/index.ts';
import { type View, pixelwise } from './view.ts';

/** OKLCH chroma below which a colour is neither. */
const NEITHER = 0.02;

/** Warm pale, cool dark, greys between: told by value, so that the map needs no colour. */
export const warmCool: View = {
  id: 'warm-cool',
  name: 'warm and cool',
  says: 'Warm places pale, cool ones dark, greys between: how they are set against each other.',
  of: pixelwise((rgb) => {
    const { l, c, h } = oklchOfLab(labOfRgb(rgb));
    // Ink stays ink.
    if (l < 0.22) return [20, 20, 20];
    const grey = c < NEITHER ? 150 : isWarm(wheelOfHue(h)) ? 232 : 74;
    return [grey, grey, grey];
  }),
};
