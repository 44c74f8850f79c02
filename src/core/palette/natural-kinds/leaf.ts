import { type NaturalKind } from './natural-kind.ts';

export const leaf: NaturalKind = {
  id: 'leaf',
  materials: ['leaf'],
  words: [
    'leaf',
    'leaves',
    'grass',
    'reeds',
    'bush',
    'bushes',
    'tree',
    'trees',
    'fern',
    'ferns',
    'ivy',
    'moss',
    'stem',
    'stems',
  ],
  ranges: [
    // From spring to summer.
    { hue: [112, 165], chroma: [0.035, 0.19], lightness: [0.22, 0.9] },
    // In autumn.
    { hue: [35, 100], chroma: [0.07, 0.17], lightness: [0.3, 0.8], words: ['autumn', 'fallen', 'dry', 'withered'] },
  ],
  ladders: [
    // Blue-green in the shade, yellow-green in the light.
    {
      rungs: [
        { l: 0.36, c: 0.07, h: 160 },
        { l: 0.55, c: 0.12, h: 143 },
        { l: 0.82, c: 0.13, h: 116 },
      ],
    },
    {
      rungs: [
        { l: 0.36, c: 0.09, h: 38 },
        { l: 0.56, c: 0.14, h: 50 },
        { l: 0.82, c: 0.14, h: 88 },
      ],
      words: ['autumn', 'fallen', 'dry', 'withered'],
    },
  ],
};
