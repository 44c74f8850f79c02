import { type Form } from './form.ts';

/** A band that is round across its width, wherever it runs: a ring, a rim, a rope, a hoop. */
export const ring: Form = {
  id: 'ring',
  name: 'ring',
  says: 'A band that is round across its width and lightest along its middle: a hoop, a rim, a coil.',
  over: 'thing',
  leans: 'outward',
  lean: ({ depth }) => Math.min(1, 1.1 * (1 - depth)),
};
