import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Fur and feathers: flicks that grow denser into the shadow; the lightest whispers into the highlight. */
export const fur: Effect = {
  id: 'fur',
  name: 'fur',
  says: 'Flicks along the coat, denser into the shadow; no edge is hard and the lightest whispers into the highlight.',
  suits: ['fur'],
  bySchool: false,
  lay(_school, { pencils, depth }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const between = pencils.length > 2 ? pencils.slice(1, -1) : pencils.slice(-1);
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'whisper',
        passes: 1,
        from: 0,
        to: 1,
        bands: 1,
        stroke: 'flicks',
        purpose: 'The undercoat, whispered right into the highlight.',
      },
      ...[...between].reverse().map((pencil, k): LayerDraft => ({
        id: k === 0 ? 'middle' : `middle-${k + 1}`,
        role: 'mid',
        pencil,
        pressure: 'light',
        passes: 2,
        from: 0,
        to: 0.84 - (0.22 * k) / between.length,
        bands: 1,
        stroke: 'flicks',
        purpose: 'Flicks along the coat, each starting firmly and lifting off.',
      })),
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 2,
        from: 0,
        to: 0.46,
        bands: 1,
        stroke: 'flicks',
        purpose: 'Denser flicks where the coat turns away.',
      },
      {
        id: 'deepen',
        role: 'dark',
        pencil: depth ?? dark,
        pressure: 'medium',
        passes: 1,
        from: 0,
        to: 0.2,
        bands: 3,
        stroke: 'flicks',
        purpose: 'The dark between the hairs.',
      },
      {
        id: 'unify',
        role: 'light',
        pencil: light,
        pressure: 'medium',
        passes: 1,
        from: 0.35,
        to: 1,
        bands: 2,
        stroke: 'flicks',
        purpose: 'Pale hairs over the light, into the highlight.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
