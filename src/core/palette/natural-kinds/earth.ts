import { type NaturalKind } from './natural-kind.ts';

export const earth: NaturalKind = {
  id: 'earth',
  materials: [],
  words: ['sand', 'earth', 'mud', 'soil', 'path', 'dune', 'dunes', 'beach'],
  ranges: [{ hue: [42, 100], chroma: [0.02, 0.11], lightness: [0.3, 0.94] }],
};
