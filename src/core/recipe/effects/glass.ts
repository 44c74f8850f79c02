import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';
import { traces } from './traces.ts';

/** Clear glass: mostly paper, with dark lines close to its edges and a hard highlight. */
export const glass: Effect = {
  id: 'glass',
  name: 'glass',
  says: 'Mostly paper: hard dark lines near its edges, a whisper of colour between, a hard highlight.',
  suits: ['glass'],
  bySchool: false,
  leavesBare: 0.6,
  pale: true,
  reserves: 'tone',
  lay(_school, { pencils }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'whisper',
        passes: 1,
        from: 0,
        to: 0.72,
        bands: 1,
        purpose: 'A whisper of what is behind the glass.',
      },
      ...traces(context, { and: { from: 0, to: 0.72, hardTo: true } }),
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 1,
        from: 0,
        to: 0.14,
        bands: 1,
        edge: 'hard',
        stroke: 'following the contour',
        purpose: 'A dark line close to the edge.',
      },
      {
        id: 'streak',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 1,
        from: 0.24,
        to: 0.32,
        bands: 3,
        edge: 'hard',
        stroke: 'following the contour',
        purpose: 'A second, paler line: the far wall of the glass.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
