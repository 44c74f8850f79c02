import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';
import { traces } from './traces.ts';

/** From here on snow is lit: neighbours leave no trace on it. */
const LIT_FROM = 0.42;

/** Snow and other whites: the paper is the white, and only the shadows are laid, in colour before grey. */
export const snow: Effect = {
  id: 'snow',
  name: 'snow and white',
  says: 'The paper is the white: only shadows are laid, in the colours of sky and neighbours, grey last if at all.',
  suits: ['snow'],
  bySchool: false,
  leavesBare: 0.6,
  pale: true,
  reserves: 'tone',
  lay(_school, { pencils, neutral, accent }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'whisper',
        passes: 2,
        from: 0,
        to: 0.56,
        bands: 1,
        purpose: 'Sky in the shadow, first and whispered.',
      },
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: 0.34,
        bands: 1,
        purpose: 'Deeper where the white turns away.',
      },
      {
        id: 'deepen',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: 0.16,
        bands: 3,
        purpose: 'Deepest in the folds and behind what stands before it: a wide white has its values too.',
      },
      ...traces(context, { and: { from: 0, to: LIT_FROM, hardTo: true } }),
      ...(accent
        ? [
            {
              id: 'accent',
              role: 'accent' as const,
              pencil: accent,
              pressure: 'whisper' as const,
              passes: 1,
              from: 0.6,
              to: 0.86,
              bands: 2 as const,
              purpose: 'A breath of a pale warm on the side of the sun.',
            },
          ]
        : []),
      ...(neutral
        ? [
            {
              id: 'neutral',
              role: 'neutral' as const,
              pencil: neutral,
              pressure: 'whisper' as const,
              passes: 1,
              from: 0,
              to: 0.3,
              bands: 2 as const,
              purpose: 'A whisper of grey over the colour, only to calm it.',
            },
          ]
        : []),
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
