import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';
import { traces } from './traces.ts';

/** A pearl: a soft ball of pale colours with a small hard highlight. */
export const pearl: Effect = {
  id: 'pearl',
  name: 'pearl',
  says: 'A soft ball of pale colours, all of them whispered, with a small highlight.',
  suits: ['pearl'],
  bySchool: false,
  leavesBare: 0.4,
  pale: true,
  reserves: 'tone',
  lay(_school, { pencils, accent }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'whisper',
        passes: 1,
        from: 0,
        to: 0.92,
        bands: 1,
        purpose: 'A blush of the palest, over all but the highlight.',
      },
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'whisper',
        passes: 2,
        from: 0,
        to: 0.34,
        bands: 1,
        purpose: 'The turning away, whispered: a pearl has no dark.',
      },
      ...(accent
        ? [
            {
              id: 'accent',
              role: 'accent' as const,
              pencil: accent,
              pressure: 'whisper' as const,
              passes: 1,
              from: 0.2,
              to: 0.5,
              bands: 3 as const,
              purpose: 'A trace of another hue, as pearls take from what is beside them.',
            },
          ]
        : []),
      {
        id: 'middle',
        role: 'mid',
        pencil: pencils[Math.floor((pencils.length - 1) / 2)]!,
        pressure: 'whisper',
        passes: 1,
        from: 0,
        to: 0.62,
        bands: 2,
        purpose: 'Joins shadow and light.',
      },
      ...traces(context, { and: { from: 0, to: 0.92, hardTo: true } }),
      {
        id: 'unify',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        from: 0.1,
        to: 0.9,
        bands: 2,
        purpose: 'Unifies it; the highlight stays as it is.',
      },
    ];
    return { layers: fitted(plain, context), notes: accent ? [] : ['An accent of another hue would make it shimmer.'] };
  },
};
