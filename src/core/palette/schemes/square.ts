import { type Scheme } from './scheme.ts';

export const square: Scheme = {
  id: 'square',
  name: 'square',
  says: 'Four a quarter of the wheel apart: the liveliest; keep three of them quiet.',
  hands: [0, 90, 180, 270],
  largeHues: 4,
};
