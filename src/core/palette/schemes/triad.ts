import { type Scheme } from './scheme.ts';

export const triad: Scheme = {
  id: 'triad',
  name: 'triad',
  says: 'Three a third of the wheel apart: lively and balanced.',
  hands: [0, 120, 240],
  largeHues: 4,
};
