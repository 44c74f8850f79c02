import { type Form } from './form.ts';

/** A background whose gradient runs over the whole thing: palest at the top, deep at the bottom, whatever the light. */
export const fadesUp: Form = {
  id: 'fades-up',
  name: 'paler upwards',
  says: 'A background that is palest at the top and deep at the bottom, as still water below a bright sky is.',
  over: 'thing',
  leans: 'outward',
  lean: () => 0,
  palest: 'top',
  fades: (down) => 0.96 - 0.92 * down,
};
