import { type NaturalKind } from './natural-kind.ts';
import { DAY, DUSK, NIGHT, STORM } from './times.ts';

export const sky: NaturalKind = {
  id: 'sky',
  materials: ['sky'],
  words: ['sky'],
  ranges: [
    // By day.
    { hue: [215, 265], chroma: [0.025, 0.14], lightness: [0.5, 0.96], words: DAY },
    // At dusk and dawn: warm where the sun is, violet across from it.
    { hue: [15, 88], chroma: [0.045, 0.15], lightness: [0.78, 0.97], words: DUSK },
    { hue: [285, 350], chroma: [0.03, 0.13], lightness: [0.35, 0.88], words: DUSK },
    // At night.
    { hue: [240, 305], chroma: [0.025, 0.14], lightness: [0.12, 0.52], words: NIGHT },
    // Before a storm.
    { hue: [205, 290], chroma: [0.008, 0.06], lightness: [0.28, 0.8], words: STORM },
  ],
  inBands: true,
  ladders: [
    // By day, from a deep zenith to a pale horizon.
    {
      rungs: [
        { l: 0.5, c: 0.13, h: 262 },
        { l: 0.7, c: 0.1, h: 245 },
        { l: 0.93, c: 0.03, h: 225 },
      ],
      words: DAY,
    },
    // At dusk: night above, violet, and both palest where it crosses to the warm horizon.
    {
      rungs: [
        { l: 0.34, c: 0.1, h: 278 },
        { l: 0.55, c: 0.1, h: 298 },
        { l: 0.9, c: 0.045, h: 340 },
      ],
      words: DUSK,
      accent: { l: 0.8, c: 0.12, h: 62 },
    },
    // On the side of the setting sun.
    {
      rungs: [
        { l: 0.52, c: 0.09, h: 318 },
        { l: 0.8, c: 0.09, h: 22 },
        { l: 0.95, c: 0.06, h: 78 },
      ],
      words: DUSK,
    },
    // At night.
    {
      rungs: [
        { l: 0.2, c: 0.05, h: 285 },
        { l: 0.34, c: 0.1, h: 272 },
        { l: 0.55, c: 0.1, h: 258 },
      ],
      words: NIGHT,
    },
  ],
};
