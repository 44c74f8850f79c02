import { type Form } from './form.ts';

/** A rounded surface: in soft light its middle is light and its sides dark; a light from a side moves the highlight over. */
export const raised: Form = {
  id: 'raised',
  name: 'raised',
  says: 'The middle stands up: light there, dark where it turns away at the sides.',
  tone({ depth, facing }, { heightDegrees }) {
    // Nearly even from edge to middle, so that bands of a family come out about equally wide; rounded off on top.
    const dome = depth * (1.35 - 0.35 * depth);
    if (heightDegrees === null) return dome;
    // The brightest place is where the surface looks at the light: at the middle for a light overhead, near the rim for a low one.
    const brightest = Math.cos((heightDegrees * Math.PI) / 180) * 0.75;
    const reach = facing < brightest ? 1 + brightest : 2.2 * (1 - brightest);
    const side = Math.max(0, 1 - ((facing - brightest) / reach) ** 2);
    return side * (0.75 + 0.25 * dome);
  },
};
