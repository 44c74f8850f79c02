import { type Paper } from './paper.ts';

export const tonedGreyCard: Paper = {
  id: 'toned-grey-card',
  name: 'toned grey card',
  tint: '#b9b7b2',
  rough: 1.15,
  tooth: 1.15,
  grainMm: 0.3,
  says: 'The paper is the middle value: lights are laid with white or pale pencils.',
};
