import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** From here out the tip stays paper. */
const TIP = 0.88;

/** A petal with a pale tip: deep in the throat, flicked outwards, the palest whispers into the tip. */
export const petal: Effect = {
  id: 'petal',
  name: 'petal with a pale tip',
  says: 'Deep at the throat and flicked out from it, each layer shorter than the last; the tip stays pale and soft.',
  suits: [],
  pulls: 'light to dark',
  bySchool: false,
  leavesBare: SMOOTH,
  lay(_school, { pencils, accent, depth }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const between = pencils.slice(1, -1).reverse();
    const out = (to: number, from = 0) => ({ field: 'out' as const, from, to, fades: 0.3 });
    const flicks = { stroke: 'flicks', direction: 'out from the middle' } as const;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'whisper',
        passes: 1,
        bands: 1,
        ...out(TIP),
        fades: 0.2,
        ...flicks,
        purpose: 'The palest from the throat out, lifting off before the tip, which stays bare.',
      },
      ...between.map((pencil, k): LayerDraft => ({
        id: k === 0 ? 'middle' : `middle-${k + 1}`,
        role: 'mid',
        pencil,
        pressure: 'light',
        passes: 2,
        bands: 1,
        ...out(0.8 - (0.3 * k) / Math.max(1, between.length)),
        ...flicks,
        purpose: 'Flicked from the throat, lifting off before the tip.',
      })),
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 2,
        bands: 1,
        ...out(0.46),
        ...flicks,
        purpose: 'The throat, in shorter flicks.',
      },
      ...(accent
        ? [
            {
              id: 'accent',
              role: 'accent' as const,
              pencil: accent,
              pressure: 'light' as const,
              passes: 1,
              bands: 2 as const,
              ...out(0.66, 0.3),
              ...flicks,
              purpose: 'A touch of another hue half way out.',
            },
          ]
        : []),
      {
        id: 'deepen',
        role: depth ? 'depth' : 'dark',
        pencil: depth ?? dark,
        pressure: 'medium',
        passes: 1,
        bands: 3,
        ...out(0.24),
        ...flicks,
        purpose: 'The innermost dark.',
      },
      {
        id: 'unify',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 2,
        bands: 1,
        ...out(TIP, 0.1),
        fades: 0.2,
        ...flicks,
        purpose: 'The palest again from base to tip, softening every flick.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
