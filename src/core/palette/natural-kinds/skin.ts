import { type NaturalKind } from './natural-kind.ts';

export const skin: NaturalKind = {
  id: 'skin',
  materials: ['skin'],
  words: ['skin', 'face', 'hand', 'hands'],
  ranges: [{ hue: [28, 80], chroma: [0.02, 0.13], lightness: [0.28, 0.93] }],
};
