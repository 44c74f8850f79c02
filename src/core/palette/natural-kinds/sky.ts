import { type NaturalKind } from './natural-kind.ts';

export const sky: NaturalKind = {
  id: 'sky',
  materials: ['sky'],
  words: ['sky'],
  ranges: [
    // By day.
    { hue: [215, 265], chroma: [0.025, 0.14], lightness: [0.5, 0.96] },
    // At dusk and dawn: warm where the sun is, violet across from it.
    { hue: [20, 95], chroma: [0.04, 0.15], lightness: [0.65, 0.96] },
    { hue: [285, 350], chroma: [0.03, 0.13], lightness: [0.35, 0.88] },
    // At night.
    { hue: [240, 305], chroma: [0.025, 0.14], lightness: [0.12, 0.52] },
    // Before a storm.
    { hue: [205, 290], chroma: [0.008, 0.06], lightness: [0.28, 0.8] },
  ],
};
