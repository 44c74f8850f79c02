import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Still water: a deepening ground, and what stands above it repeated darker, cooler and with less contrast. */
export const stillWater: Effect = {
  id: 'still-water',
  name: 'still water',
  says: 'Level strokes throughout; deeper towards the viewer, and what stands above it upside down under a veil of the water.',
  suits: ['water'],
  pulls: 'dark to light',
  bySchool: false,
  leavesBare: SMOOTH,
  lay(_school, { pencils }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    const body = pencils[Math.floor((pencils.length - 1) / 2)]!;
    const level = { stroke: 'one direction', direction: 'level', bands: 1 } as const;
    const shown = (context.shown ?? []).flatMap(({ name, pencil }, source): LayerDraft[] =>
      pencil === null
        ? []
        : [
            {
              id: `reflected-${source + 1}`,
              role: 'reflected',
              pencil,
              pressure: 'light',
              passes: 1,
              ...level,
              field: 'reflect',
              source,
              from: 0.25,
              to: 1,
              fades: 0.3,
              purpose: `The colour of ${name}, upside down from the water line.`,
            },
          ],
    );
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        ...level,
        field: 'along',
        from: 0,
        to: 1,
        purpose: 'The palest of the water over all of it.',
      },
      ...shown,
      {
        id: 'middle',
        role: 'mid',
        pencil: body,
        pressure: shown.length > 0 ? 'whisper' : 'light',
        passes: 2,
        ...level,
        field: 'along',
        from: 0,
        to: 1,
        purpose:
          shown.length > 0
            ? 'A veil of the water over what it shows, so that this comes darker, cooler and quieter than above.'
            : 'The body of the water.',
      },
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 2,
        ...level,
        field: 'along',
        from: 0.45,
        to: 1,
        fades: 0.5,
        purpose: 'Deeper towards the viewer.',
      },
      {
        id: 'deepen',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 1,
        ...level,
        field: 'along',
        from: 0.8,
        to: 1,
        fades: 0.3,
        purpose: 'The deepest water, with a few level strokes left open.',
      },
      {
        id: 'unify',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        ...level,
        field: 'along',
        from: 0,
        to: 0.4,
        fades: 0.5,
        purpose: 'The palest again at the far end, where water has the sky in it.',
      },
    ];
    const notes = shown.length > 0 ? [] : ['Set a water line at Light, and what stands above it is repeated here.'];
    return { layers: fitted(plain, context), notes };
  },
};
