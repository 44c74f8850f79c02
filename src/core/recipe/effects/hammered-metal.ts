import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';
import { traces } from './traces.ts';

/** Beaten metal: a satin ladder with dents, each a small dark beside a small light. */
export const hammeredMetal: Effect = {
  id: 'hammered-metal',
  name: 'hammered metal',
  says: 'A soft ladder first, then dents all over it: short dark commas, each with a pale spot beside it.',
  suits: [],
  bySchool: false,
  leavesBare: 0.06,
  finish: 'hammered',
  lay(_school, { pencils, depth }, context) {
    const [dark, light] = [depth ?? pencils[0]!, pencils.at(-1)!];
    const body = pencils[Math.floor((pencils.length - 1) / 2)]!;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: 0.9,
        bands: 1,
        purpose: 'The light of the metal over all but the highlight.',
      },
      {
        id: 'middle',
        role: 'mid',
        pencil: body,
        pressure: 'medium',
        passes: 1,
        from: 0,
        to: 0.66,
        bands: 1,
        purpose: 'The metal’s own colour.',
      },
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 1,
        from: 0,
        to: 0.3,
        bands: 1,
        purpose: 'Where it turns away.',
      },
      ...traces(context),
      {
        id: 'dents',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 1,
        from: 0.12,
        to: 0.86,
        bands: 2,
        stroke: 'stippling',
        point: 'sharp',
        purpose: 'Dents: short commas all over, closer together towards the shadow, none in a row.',
      },
      {
        id: 'unify',
        role: 'light',
        pencil: light,
        pressure: 'firm',
        passes: 1,
        from: 0.4,
        to: 0.86,
        bands: 3,
        stroke: 'stippling',
        purpose: 'A pale spot on the light’s side of each dent.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
