import { type NaturalKind } from './natural-kind.ts';

export const pearl: NaturalKind = {
  id: 'pearl',
  materials: ['pearl'],
  words: ['pearl', 'pearls', 'shell', 'shells', 'ivory', 'bone'],
  ranges: [
    { hue: [20, 110], chroma: [0.005, 0.06], lightness: [0.62, 1] },
    // With the sky in it.
    { hue: [200, 340], chroma: [0.005, 0.045], lightness: [0.7, 1] },
  ],
};
