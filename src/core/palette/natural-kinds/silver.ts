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
};
