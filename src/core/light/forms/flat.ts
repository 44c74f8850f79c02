import { type Form } from './form.ts';

/** One even value, a little below the highlight: nothing in the world is, but a pattern on a page may be. */
export const flat: Form = {
  id: 'flat',
  name: 'flat',
  says: 'One even value over the whole region, as a printed pattern has.',
  over: 'region',
  leans: 'outward',
  lean: () => 0,
  level: 0.6,
};
