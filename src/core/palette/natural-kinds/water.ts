import { type NaturalKind } from './natural-kind.ts';

export const water: NaturalKind = {
  id: 'water',
  materials: ['water'],
  words: ['water', 'sea', 'lake', 'river', 'pond'],
  ranges: [
    { hue: [160, 295], chroma: [0.02, 0.13], lightness: [0.15, 0.94] },
    // Under a sky at dusk.
    { hue: [25, 95], chroma: [0.03, 0.12], lightness: [0.6, 0.93] },
    { hue: [285, 340], chroma: [0.025, 0.11], lightness: [0.3, 0.8] },
  ],
};
