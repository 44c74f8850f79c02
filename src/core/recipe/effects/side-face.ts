import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** The side of a box, a step, a letter: a darker pencil than the face, strokes towards the vanishing point. */
export const sideFace: Effect = {
  id: 'side-face',
  name: 'side face',
  says: 'A step darker than the face it belongs to, in strokes to the same vanishing point, deepest at the far end.',
  suits: [],
  bySchool: false,
  leavesBare: SMOOTH,
  lay(_school, { pencils, depth, neutral }, context) {
    const dark = pencils[0]!;
    // A side takes the darker half of the face's family.
    const own = pencils.length > 2 ? pencils.slice(0, Math.ceil(pencils.length / 2)) : pencils;
    const ruled = { stroke: 'one direction', direction: 'to the vanishing point', bands: 1 } as const;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'mid',
        pencil: own.at(-1)!,
        pressure: 'medium',
        passes: 2,
        ...ruled,
        from: 0,
        to: 1,
        purpose: 'The side, evenly, a step darker than the face.',
      },
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 1,
        ...ruled,
        from: 0,
        to: 0.6,
        and: { field: 'along', from: 0.2, to: 1, fades: 0.5 },
        purpose: 'Deeper away from the light’s end.',
      },
      ...(neutral
        ? [
            {
              id: 'neutral',
              role: 'neutral' as const,
              pencil: neutral,
              pressure: 'light' as const,
              passes: 1,
              ...ruled,
              from: 0,
              to: 1,
              purpose: 'Calms it, so that the face stays the clearer of the two.',
            },
          ]
        : []),
      {
        id: 'deepen',
        role: depth ? 'depth' : 'dark',
        pencil: depth ?? dark,
        pressure: 'firm',
        passes: 1,
        ...ruled,
        from: 0,
        to: 0.16,
        bands: 2,
        purpose: 'The edge where side and ground meet.',
      },
    ];
    return {
      layers: fitted(plain, context),
      notes: own.length < pencils.length ? ['The palest of the family are kept for the face.'] : [],
    };
  },
};
