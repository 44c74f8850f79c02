import { type NaturalKind } from './natural-kind.ts';

export const lemon: NaturalKind = {
  id: 'lemon',
  materials: [],
  words: ['lemon', 'lemons', 'banana', 'bananas', 'sunflower'],
  ranges: [{ hue: [92, 116], chroma: [0.09, 0.2], lightness: [0.6, 0.97] }],
};
