import { type NaturalKind } from './natural-kind.ts';

export const fire: NaturalKind = {
  id: 'fire',
  materials: ['light'],
  words: ['fire', 'flame', 'flames', 'candle'],
  ranges: [{ hue: [28, 108], chroma: [0.06, 0.25], lightness: [0.55, 0.98] }],
};
