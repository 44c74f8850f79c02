import { type Scheme } from './scheme.ts';

export const free: Scheme = {
  id: 'free',
  name: 'free',
  says: 'Hands of your own, each turned by itself.',
  hands: [0, 100, 200],
  byHand: true,
  largeHues: 0,
};
