import { type Scheme } from './scheme.ts';

export const warmCool: Scheme = {
  id: 'warm-cool',
  name: 'warm against cool',
  says: 'Two neighbours on one side of the wheel against two on the other: near and far, lit and shaded.',
  hands: [0, 40, 180, 220],
  largeHues: 4,
};
