import { type NaturalKind } from './natural-kind.ts';

export const sky: NaturalKind = {
  id: 'sky',
  materials: ['sky'],
  words: ['sky'],
  ranges: [
    { hue: [205, 315], chroma: [0.025, 0.14], lightness: [0.2, 0.95] },
    // Where the sun goes down.
    { hue: [20, 95], chroma: [0.04, 0.15], lightness: [0.65, 0.96] },
  ],
};
