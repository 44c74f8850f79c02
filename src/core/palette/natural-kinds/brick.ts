import { type NaturalKind } from './natural-kind.ts';

export const brick: NaturalKind = {
  id: 'brick',
  materials: [],
  words: ['brick', 'bricks', 'chimney', 'flowerpot'],
  ranges: [{ hue: [20, 58], chroma: [0.05, 0.16], lightness: [0.32, 0.75] }],
};
