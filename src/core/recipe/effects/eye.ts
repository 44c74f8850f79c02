import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, type SpanDraft, fitted } from './fit.ts';

/** Shares of the way out from the middle: where the pupil ends, and where the dark rim of the iris begins. */
const PUPIL = 0.34;
const RIM = 0.78;
/** The spark, which no layer enters. */
const SPARK_FROM = 0.92;

/** An eye: a reserved spark, rings by the distance from the pupil, the lid's shadow, and a glow opposite the spark. */
export const eye: Effect = {
  id: 'eye',
  name: 'eye',
  says: 'The spark is reserved first; then by the way from the middle: a dark pupil, the iris, its dark rim, and a glow opposite the spark.',
  suits: [],
  bySchool: false,
  leavesBare: SMOOTH,
  reserves: 'tone',
  lay(_school, { pencils, depth, accent }, context) {
    const [dark, light] = [depth ?? pencils[0]!, pencils.at(-1)!];
    const body = pencils[Math.floor((pencils.length - 1) / 2)]!;
    const fine = { stroke: 'following the contour', point: 'sharp', bands: 1 } as const;
    const beside: SpanDraft = { from: 0, to: SPARK_FROM, hardTo: true };
    const ring = (from: number, to: number, fades: number) => ({ field: 'out', from, to, fades, and: beside }) as const;
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        ...fine,
        from: 0,
        to: SPARK_FROM,
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
        ...ring(PUPIL - 0.06, 1, 0.16),
        stroke: 'flicks',
        direction: 'out from the middle',
        purpose: 'The iris, flicked from its rim towards the pupil.',
      },
      {
        id: 'glow',
        role: 'light',
        pencil: accent ?? light,
        pressure: 'medium',
        passes: 1,
        ...fine,
        field: 'out',
        from: PUPIL + 0.06,
        to: RIM,
        fades: 0.16,
        and: { from: 0.12, to: 0.55, fades: 0.3 },
        purpose: 'The light that has gone through it: a glow opposite the spark.',
      },
      {
        id: 'rim',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 1,
        ...fine,
        ...ring(RIM, 1, 0.14),
        purpose: 'The dark rim of the iris, equally wide all round.',
      },
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 1,
        ...fine,
        from: 0,
        to: 0.18,
        purpose: 'The shadow of the lid.',
      },
      {
        id: 'deepen',
        role: 'dark',
        pencil: dark,
        pressure: 'firm',
        passes: 2,
        ...fine,
        ...ring(0, PUPIL, 0.06),
        purpose: 'The pupil, darkest right beside the spark.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
