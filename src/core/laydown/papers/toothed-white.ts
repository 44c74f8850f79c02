import { type Paper } from './paper.ts';

export const toothedWhite: Paper = {
  id: 'toothed-white',
  name: 'medium-toothed white sheet',
  tint: '#f5f3ee',
  rough: 1.2,
  tooth: 1.15,
  grainMm: 0.35,
  says: 'Holds more layers than a book page; light ones leave more white showing.',
};
