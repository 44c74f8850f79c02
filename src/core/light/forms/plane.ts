import { type Form } from './form.ts';

/** How much of its tone a plane loses from the lit side to the far one, into its edges, and beside what stands before it. */
const FALLS = { away: 0.55, edges: 0.3, beside: 0.36 };

/** A wall, a board, a floor: it lies flat, and no part of it is as light as the next. */
export const plane: Form = {
  id: 'plane',
  name: 'wall or floor',
  says: 'A wall, a board, a floor: it darkens away from the light, into its corners and beside what stands before it.',
  over: 'thing',
  leans: 'outward',
  lean: () => 0,
  falls: ({ depth, toward, beside }) =>
    (1 - FALLS.away * (1 - toward)) * (1 - FALLS.edges * (1 - depth) ** 2) * (1 - FALLS.beside * beside),
};
