import { type Finish } from './finish.ts';
import { satin } from './satin.ts';

/** Beaten: every dent has a dark and a light of its own. */
export const hammered: Finish = {
  id: 'hammered',
  name: 'hammered',
  says: 'Dents all over, each dark on one side and light on the other.',
  profile: satin.profile,
  dentsMm: 2.2,
};
