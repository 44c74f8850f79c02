import { type NaturalKind } from './natural-kind.ts';

export const apple: NaturalKind = {
  id: 'apple',
  materials: [],
  words: ['apple', 'apples'],
  ranges: [
    { hue: [18, 45], chroma: [0.1, 0.23], lightness: [0.35, 0.72] },
    // Green and yellow ones.
    { hue: [105, 140], chroma: [0.08, 0.19], lightness: [0.55, 0.92] },
  ],
};
