import { type Form } from './form.ts';

/** A background whose gradient runs over the whole thing: deep at the top, palest at the bottom, whatever the light. */
export const fadesDown: Form = {
  id: 'fades-down',
  name: 'paler downwards',
  says: 'A background that is deep at the top and palest at the bottom, as a sky is.',
  over: 'thing',
  leans: 'outward',
  lean: () => 0,
  fades: (down) => 0.04 + 0.92 * down,
};
