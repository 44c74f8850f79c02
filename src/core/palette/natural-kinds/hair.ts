import { type NaturalKind } from './natural-kind.ts';

export const hair: NaturalKind = {
  id: 'hair',
  materials: [],
  words: ['hair', 'beard', 'mane', 'plait'],
  ranges: [{ hue: [30, 95], chroma: [0.015, 0.13], lightness: [0.15, 0.93] }],
};
