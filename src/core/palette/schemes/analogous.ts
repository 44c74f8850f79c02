import { type Scheme } from './scheme.ts';

export const analogous: Scheme = {
  id: 'analogous',
  name: 'analogous',
  says: 'Three neighbours on the wheel: quiet, and easy to blend.',
  hands: [0, -30, 30],
  largeHues: 0,
};
