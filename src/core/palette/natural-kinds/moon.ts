import { type NaturalKind } from './natural-kind.ts';

export const moon: NaturalKind = {
  id: 'moon',
  materials: [],
  words: ['moon'],
  ranges: [{ hue: [75, 115], chroma: [0.005, 0.1], lightness: [0.8, 1] }],
};
