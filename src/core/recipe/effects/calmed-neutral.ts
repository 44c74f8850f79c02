import { type Effect, SMOOTH } from './effect.ts';
import { inOrder } from './blend.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** A colour that is calmed: a grey or its opposite under it everywhere, and the colour again on top. */
export const calmedNeutral: Effect = {
  id: 'calmed-neutral',
  name: 'calmed neutral',
  says: 'A grey or the opposite is laid thinly under all of it, and the colour goes on again so that the eye sees colour.',
  choice: { of: 'neutral', called: 'calmed with a grey' },
  suits: [],
  bySchool: true,
  leavesBare: SMOOTH,
  lay(school, family, context) {
    const calming = family.neutral ?? family.accent;
    const own = inOrder({ ...family, neutral: null, accent: null }, school.sketch);
    if (!calming) {
      return {
        layers: fitted(own, context),
        notes: ['Nothing calms it yet: give the family a neutral, a grey or its opposite.'],
      };
    }
    const under: LayerDraft = {
      id: 'neutral',
      role: 'neutral',
      pencil: calming,
      pressure: 'whisper',
      passes: 1,
      from: 0,
      to: 0.92,
      bands: 1,
      purpose: 'The calming colour, thinly under all but the highlight.',
    };
    return { layers: fitted([under, ...own], context), notes: [] };
  },
};
