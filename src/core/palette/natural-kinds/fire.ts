import { type NaturalKind } from './natural-kind.ts';

export const fire: NaturalKind = {
  id: 'fire',
  materials: ['light', 'fire'],
  words: ['fire', 'flame', 'flames', 'candle'],
  ranges: [{ hue: [28, 108], chroma: [0.06, 0.25], lightness: [0.55, 0.98] }],
  ladders: [
    {
      rungs: [
        { l: 0.55, c: 0.19, h: 32 },
        { l: 0.68, c: 0.18, h: 48 },
        { l: 0.8, c: 0.15, h: 75 },
        { l: 0.93, c: 0.13, h: 100 },
      ],
    },
  ],
};
