import { type Form } from './form.ts';

/** Half a tube along the long axis: an arm, a stem, a pole, a rope. Its ends do not turn away. */
export const tube: Form = {
  id: 'tube',
  name: 'tube',
  says: 'Round across its length: an arm, a stem, a pole, dark on both sides.',
  over: 'region',
  leans: 'across',
  lean: ({ across }) => across,
};
