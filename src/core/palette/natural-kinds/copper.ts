import { type NaturalKind } from './natural-kind.ts';

export const copper: NaturalKind = {
  id: 'copper',
  materials: ['copper'],
  words: ['copper', 'bronze'],
  ranges: [
    { hue: [28, 78], chroma: [0.04, 0.16], lightness: [0.24, 0.9] },
    // Where it has gone green.
    { hue: [155, 190], chroma: [0.03, 0.09], lightness: [0.45, 0.82] },
  ],
  ladders: [
    // Dark brown through orange.
    {
      rungs: [
        { l: 0.31, c: 0.05, h: 45 },
        { l: 0.46, c: 0.1, h: 42 },
        { l: 0.64, c: 0.14, h: 52 },
        { l: 0.86, c: 0.075, h: 66 },
      ],
    },
    // Bronze, which is browner and ends in a dull yellow.
    {
      rungs: [
        { l: 0.3, c: 0.04, h: 60 },
        { l: 0.45, c: 0.075, h: 68 },
        { l: 0.65, c: 0.1, h: 82 },
        { l: 0.87, c: 0.09, h: 96 },
      ],
      words: ['bronze'],
    },
  ],
};
