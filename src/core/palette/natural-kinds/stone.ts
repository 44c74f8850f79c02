import { type NaturalKind } from './natural-kind.ts';

export const stone: NaturalKind = {
  id: 'stone',
  materials: ['stone'],
  words: ['stone', 'stones', 'rock', 'rocks', 'cliff', 'pebble', 'pebbles', 'cobbles'],
  ranges: [
    // Sandstone, limestone.
    { hue: [40, 95], chroma: [0.015, 0.09], lightness: [0.35, 0.92] },
    // Slate, granite.
    { hue: [215, 300], chroma: [0.01, 0.055], lightness: [0.25, 0.8] },
  ],
};
