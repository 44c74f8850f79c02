import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** An eye: a reserved spark, the pupil dark beside it, the iris darkest at its rim and aglow opposite the spark. */
export const eye: Effect = {
  id: 'eye',
  name: 'eye',
  says: 'The spark is reserved first; dark right beside it and round the rim, and a glow opposite.',
  suits: [],
  bySchool: false,
  leavesBare: SMOOTH,
  reserves: 'tone',
  lay(_school, { pencils, depth }, context) {
    const [dark, light] = [depth ?? pencils[0]!, pencils.at(-1)!];
    const body = pencils[Math.floor((pencils.length - 1) / 2)]!;
    const fine = { stroke: 'following the contour', point: 'sharp', bands: 1 } as const;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        ...fine,
        from: 0,
        to: 0.92,
        edge: 'hard',
        purpose: 'Over all but the spark, which no layer enters.',
      },
      {
        id: 'middle',
        role: 'mid',
        pencil: body,
        pressure: 'medium',
        passes: 1,
        ...fine,
        from: 0,
        to: 0.56,
        stroke: 'flicks',
        direction: 'out from the middle',
        purpose: 'The iris, flicked from its rim inwards.',
      },
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 1,
        ...fine,
        from: 0,
        to: 0.2,
        purpose: 'The rim, and the lid’s shadow over the top.',
      },
      {
        id: 'deepen',
        role: 'dark',
        pencil: dark,
        pressure: 'firm',
        passes: 2,
        ...fine,
        from: 0.74,
        to: 0.92,
        edge: 'hard',
        purpose: 'The pupil, darkest right beside the spark.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
