import { type Scheme } from './scheme.ts';

export const tetrad: Scheme = {
  id: 'tetrad',
  name: 'tetrad',
  says: 'Two pairs of opposites, sixty degrees apart: four voices, one of which should lead.',
  hands: [0, 60, 180, 240],
  largeHues: 4,
};
