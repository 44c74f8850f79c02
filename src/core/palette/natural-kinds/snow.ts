import { type NaturalKind } from './natural-kind.ts';

export const snow: NaturalKind = {
  id: 'snow',
  materials: ['snow'],
  words: ['snow', 'ice'],
  ranges: [
    { hue: [200, 320], chroma: [0, 0.06], lightness: [0.7, 1] },
    { hue: [30, 110], chroma: [0, 0.035], lightness: [0.85, 1] },
  ],
};
