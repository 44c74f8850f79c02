import { type Scheme } from './scheme.ts';

export const doubleSplit: Scheme = {
  id: 'double-split',
  name: 'double split',
  says: 'The two beside the anchor and the two beside its opposite: rich, with the plain pair left out.',
  hands: [-30, 30, 150, 210],
  largeHues: 4,
};
