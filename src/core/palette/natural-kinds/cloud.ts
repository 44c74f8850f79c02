import { type NaturalKind } from './natural-kind.ts';
import { DAY, DUSK } from './times.ts';

export const cloud: NaturalKind = {
  id: 'cloud',
  materials: [],
  words: ['cloud', 'clouds', 'mist', 'fog', 'smoke', 'steam'],
  underSky: true,
  ranges: [
    { hue: [200, 320], chroma: [0, 0.055], lightness: [0.55, 1], words: [...DAY, ...DUSK] },
    // At dusk and at dawn.
    { hue: [20, 95], chroma: [0, 0.075], lightness: [0.8, 1], words: DUSK },
  ],
  ladders: [
    {
      rungs: [
        { l: 0.6, c: 0.035, h: 262 },
        { l: 0.8, c: 0.022, h: 250 },
        { l: 0.96, c: 0.008, h: 240 },
      ],
      words: [...DAY, ...DUSK],
    },
    // At dusk: violet below, rose, a warm white above.
    {
      rungs: [
        { l: 0.62, c: 0.05, h: 318 },
        { l: 0.84, c: 0.055, h: 24 },
        { l: 0.96, c: 0.03, h: 75 },
      ],
      words: DUSK,
    },
  ],
};
