import { type Scheme } from './scheme.ts';

export const analogousAccent: Scheme = {
  id: 'analogous-accent',
  name: 'analogous with an accent',
  says: 'Three neighbours carry the page; their opposite comes in small places.',
  hands: [0, -30, 30, 180],
  largeHues: 0,
};
