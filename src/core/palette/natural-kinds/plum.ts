import { type NaturalKind } from './natural-kind.ts';

export const plum: NaturalKind = {
  id: 'plum',
  materials: [],
  words: ['plum', 'plums', 'grape', 'grapes', 'lavender', 'violets'],
  ranges: [{ hue: [285, 345], chroma: [0.04, 0.17], lightness: [0.22, 0.72] }],
};
