import { type NaturalKind } from './natural-kind.ts';

export const fur: NaturalKind = {
  id: 'fur',
  materials: ['fur'],
  words: ['fur', 'hare', 'fox', 'deer', 'bear', 'mouse', 'squirrel', 'coat'],
  ranges: [
    { hue: [35, 92], chroma: [0.02, 0.13], lightness: [0.2, 0.94] },
    // Grey coats.
    { hue: [220, 300], chroma: [0.004, 0.03], lightness: [0.25, 0.95] },
  ],
};
