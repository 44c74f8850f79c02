import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Stone, plaster, sand: an uneven ground, scumbled, and dots that grow denser into the shadow. */
export const stone: Effect = {
  id: 'stone',
  name: 'stone',
  says: 'An uneven scumbled ground, then dots, dense in the shadow and sparse in the light, never in a row.',
  suits: ['stone'],
  bySchool: false,
  leavesBare: 0.35,
  lay(_school, { pencils, neutral, depth }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const body = pencils[Math.floor((pencils.length - 1) / 2)]!;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'medium',
        passes: 1,
        from: 0,
        to: 0.96,
        bands: 1,
        stroke: 'scumbling',
        purpose: 'An uneven ground: let the paper show here and there.',
      },
      {
        id: 'middle',
        role: 'mid',
        pencil: body,
        pressure: 'medium',
        passes: 1,
        from: 0,
        to: 0.7,
        bands: 1,
        stroke: 'scumbling',
        purpose: 'Patches of the stone’s own colour, closer together in the shadow.',
      },
      ...(neutral
        ? [
            {
              id: 'neutral',
              role: 'neutral' as const,
              pencil: neutral,
              pressure: 'light' as const,
              passes: 1,
              from: 0,
              to: 0.5,
              bands: 2 as const,
              stroke: 'scumbling' as const,
              purpose: 'Calms it.',
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
        to: 0.38,
        bands: 1,
        purpose: 'The side that turns away.',
      },
      {
        id: 'grains',
        role: 'dark',
        pencil: depth ?? dark,
        pressure: 'medium',
        passes: 1,
        from: 0,
        to: 0.62,
        bands: 2,
        stroke: 'stippling',
        point: 'sharp',
        purpose: 'Grains: dots that thin out towards the light, no straight row at the end.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
