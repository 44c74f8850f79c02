import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Where the rim ends that the light behind leaves pale. */
const RIM = 0.86;

/** What stands before the light: a pale rim, a dark middle, little detail; each layer is smaller than the last. */
export const backlit: Effect = {
  id: 'backlit',
  name: 'backlit subject',
  says: 'A pale rim and a dark middle with little detail: each layer is smaller than the one before it.',
  suits: [],
  bySchool: false,
  leavesBare: SMOOTH,
  lay(_school, { pencils, depth, accent }, context) {
    const rising = [...pencils].reverse();
    const [light, dark] = [rising[0]!, pencils[0]!];
    const smaller = (k: number) => RIM - (RIM - 0.3) * (k / Math.max(1, rising.length));
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: context.glow?.pencil ?? accent ?? light,
        pressure: 'whisper',
        passes: 1,
        from: 0.5,
        to: 0.97,
        bands: 1,
        purpose: 'The light’s colour along the rim, whispered.',
      },
      ...rising.map((pencil, k): LayerDraft => {
        const last = k === rising.length - 1;
        return {
          id: last ? 'shadow' : k === 0 ? 'light' : k === 1 ? 'middle' : `middle-${k}`,
          role: last ? 'dark' : k === 0 ? 'light' : 'mid',
          pencil,
          pressure: last ? 'medium' : 'light',
          passes: 2,
          from: 0,
          to: smaller(k),
          bands: 1,
          purpose: k === 0 ? 'Over all but the rim.' : 'Smaller than the last layer: the rim grows softly.',
        };
      }),
      {
        id: 'deepen',
        role: depth ? 'depth' : 'dark',
        pencil: depth ?? dark,
        pressure: 'firm',
        passes: 1,
        from: 0,
        to: 0.24,
        bands: 3,
        purpose: 'The dark middle; what lies there needs no detail.',
      },
    ];
    return {
      layers: fitted(plain, context),
      notes: rising.length < 3 ? ['Three pencils or more give the rim a softer way in.'] : [],
    };
  },
};
