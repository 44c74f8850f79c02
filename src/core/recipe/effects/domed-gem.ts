import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted, usualWidth } from './fit.ts';

/** Stones narrower than this, mm, have room for one colour and white. */
const TINY_MM = 2.4;
/** Where the highlight begins, which no layer enters. */
const WHITE_FROM = 0.93;

/** Round stones and drops: dark at the edge and right beside the highlight, a glow between them. */
export const domedGem: Effect = {
  id: 'domed-gem',
  name: 'domed gem',
  says: 'Dark at its edge and right beside a hard highlight, with the palest over all between: the glow of the stone.',
  suits: ['gem'],
  bySchool: false,
  leavesBare: SMOOTH,
  reserves: 'tone',
  lay(_school, { pencils, depth }, context) {
    if (usualWidth(context) < TINY_MM) {
      const body = pencils[Math.floor((pencils.length - 1) / 2)]!;
      const why = `Under ${TINY_MM} mm there is room for one colour and white.`;
      return { layers: fitted(tiny(body), context), notes: [why] };
    }
    const [dark, light] = [depth ?? pencils[0]!, pencils.at(-1)!];
    const between = pencils.length > 2 ? pencils.slice(1, -1) : [];
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        from: 0,
        to: WHITE_FROM,
        bands: 1,
        edge: 'hard',
        purpose: 'The glow of the stone, over all but the highlight, which no layer enters.',
      },
      ...[...between].reverse().map((pencil, k): LayerDraft => ({
        id: k === 0 ? 'middle' : `middle-${k + 1}`,
        role: 'mid',
        pencil,
        pressure: 'medium',
        passes: 1,
        from: 0.4 + (0.2 * k) / between.length,
        to: WHITE_FROM,
        bands: 2,
        hardTo: true,
        purpose: 'Deeper towards the highlight.',
      })),
      {
        id: 'edge',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 2,
        from: 0,
        to: 0.2,
        bands: 2,
        purpose: 'Dark where the dome turns away at its edge.',
      },
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 2,
        from: 0.66,
        to: WHITE_FROM,
        bands: 1,
        hardTo: true,
        purpose: 'Darkest right beside the highlight.',
      },
      {
        id: 'unify',
        role: 'light',
        pencil: light,
        pressure: 'firm',
        passes: 1,
        from: 0.08,
        to: 0.7,
        bands: 2,
        purpose: 'The palest over all but the highlight and the dark beside it: the glow of the stone.',
      },
      {
        id: 'deepen',
        role: 'dark',
        pencil: dark,
        pressure: 'firm',
        passes: 1,
        from: 0.82,
        to: WHITE_FROM,
        bands: 3,
        edge: 'hard',
        purpose: 'Sets the hard edge of the highlight.',
      },
    ];
    const notes = between.length === 0 ? ['With no pencil between dark and light the stone turns in one step.'] : [];
    return { layers: fitted(plain, context), notes };
  },
};

/** A stone of a millimetre or two: one colour, pressed harder at its edge, and white. */
function tiny(pencil: string): LayerDraft[] {
  return [
    {
      id: 'base',
      role: 'light',
      pencil,
      pressure: 'light',
      passes: 2,
      from: 0,
      to: 0.72,
      bands: 1,
      edge: 'hard',
      purpose: 'Its one colour, over all but the spot of white.',
    },
    {
      id: 'shadow',
      role: 'dark',
      pencil,
      pressure: 'firm',
      passes: 1,
      from: 0,
      to: 0.3,
      bands: 1,
      purpose: 'The same pressed harder along its edge.',
    },
  ];
}
