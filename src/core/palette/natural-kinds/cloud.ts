import { type NaturalKind } from './natural-kind.ts';

export const cloud: NaturalKind = {
  id: 'cloud',
  materials: [],
  words: ['cloud', 'clouds', 'mist', 'fog', 'smoke', 'steam'],
  ranges: [
    { hue: [200, 320], chroma: [0, 0.055], lightness: [0.55, 1] },
    // At dusk and at dawn.
    { hue: [20, 95], chroma: [0, 0.075], lightness: [0.8, 1] },
  ],
};
