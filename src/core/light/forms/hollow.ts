import { type Form } from './form.ts';

/** The inside of a bowl: it leans inward, so the side that is nearer the light lies in its own shade. */
export const hollow: Form = {
  id: 'hollow',
  name: 'hollow',
  says: 'The inside of a bowl: dark on the side nearest the light, pale on the far one.',
  over: 'thing',
  leans: 'outward',
  lean: ({ depth }) => -0.95 * (1 - depth),
};
