import { isSoluble } from '../../laydown/index.ts';
import { inOrder } from './blend.ts';
import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** A wash takes so long to dry, minutes. An assumption: paper, water and room decide. */
const DRIES_MINUTES = 20;

/** A wash of a water-soluble pencil under dry layers: no white of the paper is left to fill. */
export const baseWash: Effect = {
  id: 'base-wash',
  name: 'wash under dry layers',
  says: 'A water-soluble pencil, lightly, then a wet brush; dry layers go over it once it is dry.',
  suits: [],
  bySchool: true,
  leavesBare: 0.15,
  lay(school, family, context) {
    const own = inOrder(family, school.sketch);
    const soluble = [...family.pencils].reverse().find((pencil) => {
      const type = context.typeOf?.(pencil);
      return type !== undefined && isSoluble(type);
    });
    if (!soluble) {
      return {
        layers: fitted(own, context),
        notes: [
          'No pencil of the family dissolves in water, so there is no wash: choose a water-soluble one as its lightest.',
        ],
      };
    }
    const wash: LayerDraft[] = [
      {
        id: 'wash',
        role: 'light',
        pencil: soluble,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: 0.95,
        bands: 1,
        purpose: 'A thin even layer for the brush to dissolve.',
      },
      {
        id: 'wet',
        role: 'light',
        pencil: soluble,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: 0.95,
        bands: 1,
        tool: 'water',
        dryMinutes: DRIES_MINUTES,
        purpose: `A damp brush over it, pale to dark; let it dry for ${DRIES_MINUTES} min.`,
      },
    ];
    // The wash is the base coat.
    return { layers: fitted([...wash, ...own.filter(({ id }) => id !== 'base')], context), notes: [] };
  },
};
