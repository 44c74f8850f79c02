import { type Form } from './form.ts';

/** Half a ball over a round outline: as far as a place lies from the middle, so far it leans. */
export const ball: Form = {
  id: 'ball',
  name: 'ball',
  says: 'The whole thing is one ball, darkest where it turns away.',
  over: 'thing',
  leans: 'outward',
  lean: ({ depth }) => 1 - depth,
};
