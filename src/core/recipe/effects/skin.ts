import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';
import { traces } from './traces.ts';

/** Skin, and what is as soft: many whispered layers, colour before dark, the highlight never quite bare. */
export const skin: Effect = {
  id: 'skin',
  name: 'skin',
  says: 'Many whispered layers in small circles, colour before dark; the lightest whispers into the highlight.',
  suits: ['skin'],
  pulls: 'light to dark',
  bySchool: false,
  leavesBare: SMOOTH,
  pale: true,
  lay(_school, { pencils, accent, blender }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const body = pencils[Math.floor((pencils.length - 1) / 2)]!;
    const round = { stroke: 'small circles', bands: 1 } as const;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'whisper',
        passes: 2,
        from: 0,
        to: 1,
        ...round,
        purpose: 'The palest over all of it, into the highlight.',
      },
      ...(accent
        ? [
            {
              id: 'accent',
              role: 'accent' as const,
              pencil: accent,
              pressure: 'whisper' as const,
              passes: 1,
              from: 0.25,
              to: 0.62,
              ...round,
              purpose: 'A blush where blood is near: cheeks, knuckles, ears.',
            },
          ]
        : []),
      {
        id: 'middle',
        role: 'mid',
        pencil: body,
        pressure: 'whisper',
        passes: 2,
        from: 0,
        to: 0.66,
        ...round,
        purpose: 'Turns the form.',
      },
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: 0.34,
        ...round,
        purpose: 'The shadow side, and under whatever overhangs.',
      },
      ...traces(context),
      {
        id: 'unify',
        role: blender ? 'blender' : 'light',
        pencil: blender ?? light,
        pressure: 'light',
        passes: 1,
        from: 0.1,
        to: 1,
        stroke: 'small circles',
        bands: 1,
        purpose: 'Unifies it, lightly: no tooth is pressed out here.',
      },
    ];
    return {
      layers: fitted(plain, context),
      notes: accent ? [] : ['A pink or peach as accent would give it a blush.'],
    };
  },
};
