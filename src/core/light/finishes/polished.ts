import { type Finish } from './finish.ts';

/** Black next to white: a dark streak, then a white that is small and does not lie quite at the edge. */
export const polished: Finish = {
  id: 'polished',
  name: 'polished',
  says: 'Dark and light in streaks with hard edges that follow the turning of the form.',
  highlightsMm: 14,
  profile: [
    [-1, 0.36],
    [-0.86, 0.3],
    [-0.8, 0.02],
    [-0.46, 0.1],
    [-0.4, 0.34],
    [0, 0.6],
    [0.24, 0.76],
    [0.3, 0.86],
    [0.36, 0.9],
    [0.38, 1],
    [0.52, 1],
    [0.55, 0.46],
    [0.78, 0.26],
    [0.84, 0.06],
    [1, 0.12],
  ],
};
