import { type Form } from './form.ts';

/** One even value, a little below the highlight; a light from a side lifts the side that faces it slightly. */
export const flat: Form = {
  id: 'flat',
  name: 'flat',
  says: 'One even value over the whole region.',
  tone({ facing }, { heightDegrees }) {
    return heightDegrees === null ? 0.6 : 0.6 + 0.12 * facing;
  },
};
