import { type Form } from './form.ts';

/** Two halves that rise from a fold along the middle and bend over towards the edges: the fold lies deepest. */
export const leaf: Form = {
  id: 'leaf',
  name: 'leaf with a fold',
  says: 'Two halves rise from a fold along the middle, so one of them faces the light.',
  over: 'region',
  leans: 'across',
  lean(place) {
    const out = Math.abs(place.across);
    // Inward beside the fold, flat half way out, outward at the edge; at the very fold it turns over within a little.
    const half = Math.min(1, out / 0.08) * (-0.62 + 1.15 * out);
    return Math.sign(place.across) * half;
  },
};
