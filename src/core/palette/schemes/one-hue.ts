import { type Scheme } from './scheme.ts';

export const oneHue: Scheme = {
  id: 'one-hue',
  name: 'one hue in values',
  says: 'A single hue from dark to light: calm, carried by value alone.',
  hands: [0],
  largeHues: 0,
};
