import { type NaturalKind } from './natural-kind.ts';

export const gold: NaturalKind = {
  id: 'gold',
  materials: ['gold'],
  words: ['gold', 'golden', 'brass', 'gilt'],
  ranges: [{ hue: [55, 105], chroma: [0.05, 0.19], lightness: [0.28, 0.96] }],
  // Dark brown, red-brown, ochre, a clear yellow.
  ladders: [
    {
      rungs: [
        { l: 0.33, c: 0.055, h: 52 },
        { l: 0.48, c: 0.105, h: 48 },
        { l: 0.68, c: 0.125, h: 75 },
        { l: 0.9, c: 0.15, h: 99 },
      ],
    },
  ],
};
