import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** What shines itself: palest in its middle, its colour only towards its edge. */
export const lightSource: Effect = {
  id: 'light-source',
  name: 'light source',
  says: 'The palest of the page: its middle hardly touched, its colour growing only towards its edge.',
  suits: ['light'],
  bySchool: false,
  leavesBare: SMOOTH,
  pale: true,
  lay(_school, { pencils }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const body = pencils[Math.floor((pencils.length - 1) / 2)]!;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: 0.94,
        bands: 1,
        purpose: 'The palest, up to the middle, which stays as it is.',
      },
      ...(pencils.length > 2
        ? [
            {
              id: 'middle',
              role: 'mid' as const,
              pencil: body,
              pressure: 'light' as const,
              passes: 1,
              from: 0,
              to: 0.8,
              bands: 1 as const,
              purpose: 'Its colour, from the edge inwards.',
            },
          ]
        : []),
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: 0.68,
        bands: 2,
        purpose: 'A little deeper right at its edge.',
      },
      {
        id: 'unify',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: 0.94,
        bands: 1,
        purpose: 'The palest again over its colour, so that it glows and no grain shows.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
