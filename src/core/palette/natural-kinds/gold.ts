import { type NaturalKind } from './natural-kind.ts';

export const gold: NaturalKind = {
  id: 'gold',
  materials: ['gold'],
  words: ['gold', 'golden', 'brass', 'gilt'],
  ranges: [{ hue: [55, 105], chroma: [0.05, 0.19], lightness: [0.28, 0.96] }],
};
