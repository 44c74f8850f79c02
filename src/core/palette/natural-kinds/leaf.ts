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
    { hue: [105, 165], chroma: [0.035, 0.19], lightness: [0.22, 0.94] },
    // In autumn.
    { hue: [35, 105], chroma: [0.06, 0.17], lightness: [0.3, 0.86] },
  ],
};
