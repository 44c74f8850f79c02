import { type Paper } from './paper.ts';

export const kraftCard: Paper = {
  id: 'kraft-card',
  name: 'brown kraft card',
  tint: '#b08d63',
  rough: 1.3,
  tooth: 1.2,
  grainMm: 0.35,
  says: 'Translucent pencils turn brown on it; covering ones keep their colour.',
};
