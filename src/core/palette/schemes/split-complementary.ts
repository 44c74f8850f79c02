import { type Scheme } from './scheme.ts';

export const splitComplementary: Scheme = {
  id: 'split-complementary',
  name: 'split-complementary',
  says: 'The anchor and the two beside its opposite: contrast with less strain.',
  hands: [0, 150, 210],
  largeHues: 4,
};
