import { type NaturalKind } from './natural-kind.ts';

export const orange: NaturalKind = {
  id: 'orange',
  materials: [],
  words: ['orange', 'oranges', 'pumpkin', 'pumpkins', 'carrot', 'carrots'],
  ranges: [{ hue: [48, 78], chroma: [0.1, 0.2], lightness: [0.5, 0.88] }],
};
