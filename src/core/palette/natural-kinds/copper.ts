import { type NaturalKind } from './natural-kind.ts';

export const copper: NaturalKind = {
  id: 'copper',
  materials: ['copper'],
  words: ['copper', 'bronze'],
  ranges: [
    { hue: [28, 78], chroma: [0.04, 0.16], lightness: [0.24, 0.9] },
    // Where it has gone green.
    { hue: [155, 190], chroma: [0.03, 0.09], lightness: [0.45, 0.82] },
  ],
};
