import { type NaturalKind } from './natural-kind.ts';

export const silver: NaturalKind = {
  id: 'silver',
  materials: ['silver'],
  words: ['silver', 'steel', 'iron', 'tin', 'pewter'],
  ranges: [
    { hue: [200, 320], chroma: [0, 0.045], lightness: [0.2, 1] },
    // With warm surroundings in it.
    { hue: [40, 110], chroma: [0, 0.03], lightness: [0.3, 1] },
  ],
  // Black through greys that hold a little of the sky.
  ladders: [
    {
      rungs: [
        { l: 0.22, c: 0.012, h: 270 },
        { l: 0.44, c: 0.03, h: 258 },
        { l: 0.68, c: 0.025, h: 250 },
        { l: 0.92, c: 0.012, h: 240 },
      ],
    },
  ],
};
