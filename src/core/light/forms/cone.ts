import { type Form } from './form.ts';

/** A tube that narrows: across it turns as a tube does, but its sides meet before they stand upright. */
export const cone: Form = {
  id: 'cone',
  name: 'cone',
  says: 'A tube over the whole thing that narrows to one end: a spire, a carrot, a funnel.',
  over: 'thing',
  leans: 'across',
  lean: ({ across }) => 0.92 * across,
};
