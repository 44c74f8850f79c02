import { type Finish } from './finish.ts';

/** Brushed or worn: the streaks of a polished metal run into each other. */
export const satin: Finish = {
  id: 'satin',
  name: 'satin',
  says: 'The streaks of a polished metal, run softly into each other.',
  profile: [
    [-1, 0.3],
    [-0.68, 0.06],
    [-0.1, 0.48],
    [0.3, 0.86],
    [0.44, 0.97],
    [0.58, 0.86],
    [1, 0.26],
  ],
};
