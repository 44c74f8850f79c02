import { type Effect } from './effect.ts';
import { type LayerDraft, fitted, usualWidth } from './fit.ts';

/** A coat at least this wide, mm, has a blend under its hairs; one narrower than this is dotted in its shadow. */
const UNDER_MM = 15;
const DOTS_MM = 5;

/** Fur and feathers: flicks that grow denser into the shadow; the lightest whispers into the highlight. */
export const fur: Effect = {
  id: 'fur',
  name: 'fur',
  says: 'Flicks along the coat, denser into the shadow; no edge is hard and the lightest whispers into the highlight.',
  choice: { of: 'fur', called: 'hair by hair' },
  suits: ['fur'],
  bySchool: false,
  leavesBare: 0.12,
  lay(_school, { pencils, depth }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const between = pencils.length > 2 ? pencils.slice(1, -1) : pencils.slice(-1);
    const width = usualWidth(context);
    const dotted = width < DOTS_MM;
    const plain: LayerDraft[] = [
      ...(width >= UNDER_MM
        ? [
            {
              id: 'undercoat',
              role: 'light' as const,
              pencil: between.at(-1)!,
              pressure: 'light' as const,
              passes: 2,
              from: 0,
              to: 0.9,
              bands: 1 as const,
              stroke: 'small circles' as const,
              purpose: 'A blend under the coat, so that no paper shows between the hairs.',
            },
          ]
        : []),
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
        passes: dotted ? 3 : 2,
        from: 0,
        to: 0.46,
        bands: 1,
        stroke: dotted ? 'stippling' : 'flicks',
        purpose: dotted ? 'Dots, denser where the short coat turns away.' : 'Denser flicks where the coat turns away.',
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
