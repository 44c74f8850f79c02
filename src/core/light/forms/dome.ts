import { type Form } from './form.ts';

/** How far in the rounding reaches before the flat top. */
const ROUNDED = 0.45;

/** A dome with its top cut off flat: a button, a coin, a bell seen from above. */
export const dome: Form = {
  id: 'dome',
  name: 'cut dome',
  says: 'Rounded at its sides with a flat top: a button, a coin, a pebble.',
  over: 'thing',
  leans: 'outward',
  lean: ({ depth }) => Math.max(0, 1 - depth / ROUNDED),
  level: 0.85,
};
