import { type NaturalKind } from './natural-kind.ts';

export const straw: NaturalKind = {
  id: 'straw',
  materials: [],
  words: ['straw', 'thatch', 'hay', 'rope', 'ropes', 'basket', 'wicker'],
  ranges: [{ hue: [68, 106], chroma: [0.03, 0.13], lightness: [0.4, 0.95] }],
};
