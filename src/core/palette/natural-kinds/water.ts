import { type NaturalKind } from './natural-kind.ts';
import { DAY, DUSK, NIGHT } from './times.ts';

export const water: NaturalKind = {
  id: 'water',
  materials: ['water'],
  words: ['water', 'sea', 'lake', 'river', 'pond'],
  underSky: true,
  ranges: [
    { hue: [160, 295], chroma: [0.02, 0.13], lightness: [0.15, 0.94], words: DAY },
    // Under a sky at dusk: its own blue and green, or what the sky gives it.
    { hue: [190, 295], chroma: [0.02, 0.12], lightness: [0.25, 0.85], words: DUSK },
    { hue: [8, 60], chroma: [0.035, 0.12], lightness: [0.78, 0.95], words: DUSK },
    { hue: [285, 340], chroma: [0.025, 0.11], lightness: [0.3, 0.8], words: DUSK },
    // At night.
    { hue: [200, 300], chroma: [0.015, 0.12], lightness: [0.12, 0.55], words: NIGHT },
  ],
  ladders: [
    // Deep and blue below, clearer and greener where light goes through it.
    {
      rungs: [
        { l: 0.3, c: 0.08, h: 255 },
        { l: 0.52, c: 0.1, h: 228 },
        { l: 0.86, c: 0.05, h: 198 },
      ],
      words: [...DAY, ...DUSK],
    },
    {
      rungs: [
        { l: 0.42, c: 0.08, h: 308 },
        { l: 0.79, c: 0.08, h: 18 },
        { l: 0.92, c: 0.06, h: 62 },
      ],
      words: DUSK,
    },
    // At night.
    {
      rungs: [
        { l: 0.2, c: 0.04, h: 275 },
        { l: 0.36, c: 0.08, h: 255 },
        { l: 0.6, c: 0.07, h: 230 },
      ],
      words: NIGHT,
    },
  ],
};
