import { type NaturalKind } from './natural-kind.ts';

export const leaf: NaturalKind = {
  id: 'leaf',
  materials: ['leaf'],
  words: ['leaf', 'leaves', 'grass', 'reeds', 'bush', 'tree'],
  ranges: [{ hue: [105, 165], chroma: [0.035, 0.17], lightness: [0.25, 0.92] }],
};
