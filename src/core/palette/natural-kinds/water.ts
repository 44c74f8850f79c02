import { type NaturalKind } from './natural-kind.ts';

export const water: NaturalKind = {
  id: 'water',
  materials: ['water'],
  words: ['water', 'sea', 'lake', 'river', 'pond'],
  ranges: [
    { hue: [160, 295], chroma: [0.02, 0.13], lightness: [0.15, 0.94] },
    // Under a sky at dusk.
    { hue: [15, 88], chroma: [0.035, 0.12], lightness: [0.78, 0.95] },
    { hue: [285, 340], chroma: [0.025, 0.11], lightness: [0.3, 0.8] },
  ],
  // Deep and blue below, clearer and greener where light goes through it.
  ladders: [
    {
      rungs: [
        { l: 0.3, c: 0.08, h: 255 },
        { l: 0.52, c: 0.1, h: 228 },
        { l: 0.86, c: 0.05, h: 198 },
      ],
    },
  ],
};
