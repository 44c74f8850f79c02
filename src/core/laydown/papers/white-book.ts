import { type Paper } from './paper.ts';

export const whiteBook: Paper = {
  id: 'white-book',
  name: 'smooth white book page',
  tint: '#f4f2ec',
  rough: 1,
  tooth: 1,
  grainMm: 0.1,
  says: 'Takes a fair number of light layers; press hard only at the end.',
};
