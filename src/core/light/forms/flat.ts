import { type Form } from './form.ts';

/** One even value, a little below the highlight. */
export const flat: Form = {
  id: 'flat',
  name: 'flat',
  says: 'One even value over the whole region.',
  over: 'region',
  leans: 'outward',
  lean: () => 0,
  level: 0.6,
};
