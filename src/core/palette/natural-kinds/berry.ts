import { type NaturalKind } from './natural-kind.ts';

export const berry: NaturalKind = {
  id: 'berry',
  materials: [],
  words: ['cherry', 'cherries', 'strawberry', 'strawberries', 'berry', 'berries', 'poppy', 'poppies'],
  ranges: [{ hue: [8, 38], chroma: [0.11, 0.24], lightness: [0.3, 0.66] }],
};
