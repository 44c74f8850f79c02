import { type Form } from './form.ts';

/** Folds across the short way: rising and falling three times. */
export const fold: Form = {
  id: 'fold',
  name: 'cloth in folds',
  says: 'Soft folds along its length, light on their backs and dark between them.',
  over: 'region',
  leans: 'across',
  lean: ({ across }) => 0.8 * Math.sin(3 * Math.PI * across),
};
