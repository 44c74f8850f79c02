import { type NaturalKind } from './natural-kind.ts';

export const water: NaturalKind = {
  id: 'water',
  materials: ['water'],
  words: ['water', 'sea', 'lake', 'river', 'pond'],
  ranges: [{ hue: [160, 295], chroma: [0.02, 0.13], lightness: [0.18, 0.93] }],
};
