import { type Paper } from './paper.ts';

export const creamSheet: Paper = {
  id: 'cream-sheet',
  name: 'lightly toothed cream sheet',
  tint: '#f1e7cf',
  rough: 1.05,
  tooth: 1,
  grainMm: 0.12,
  says: 'Warms every pale colour a little; blues and violets look greyer on it.',
};
