import { type Scheme } from './scheme.ts';

export const complementary: Scheme = {
  id: 'complementary',
  name: 'complementary',
  says: 'The anchor and its opposite: each makes the other stand out.',
  hands: [0, 180],
  largeHues: 0,
};
