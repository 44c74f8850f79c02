import { type Form } from './form.ts';

/** A cushion: it rises from its edge over a few millimetres and is rounded off on top. */
export const raised: Form = {
  id: 'raised',
  name: 'raised',
  says: 'A cushion in each region: its middle stands up, its sides turn away.',
  over: 'region',
  leans: 'outward',
  lean: ({ depth }) => 1 - depth,
};
