import { type Form } from './form.ts';

/** A cut stone: flat faces round a flat table, each of one value. */
export const faceted: Form = {
  id: 'faceted',
  name: 'faceted',
  says: 'Flat faces round a flat table, as on a cut stone: each face has one value.',
  over: 'thing',
  leans: 'outward',
  faces: 8,
  lean: ({ depth }) => (depth > 0.55 ? 0 : 0.66),
  level: 0.8,
};
