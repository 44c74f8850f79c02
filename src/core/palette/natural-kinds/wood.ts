import { type NaturalKind } from './natural-kind.ts';

export const wood: NaturalKind = {
  id: 'wood',
  materials: ['wood'],
  words: ['wood', 'plank', 'planks', 'trunk', 'bark'],
  ranges: [{ hue: [32, 98], chroma: [0.025, 0.13], lightness: [0.2, 0.9] }],
};
