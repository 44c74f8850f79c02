import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';
import { traces } from './traces.ts';

/** Brushed or worn metal: the ladder of a polished one with soft edges and no streak. */
export const satinMetal: Effect = {
  id: 'satin-metal',
  name: 'satin metal',
  says: 'The ladder of a polished metal with soft edges: brushed, worn or cast.',
  suits: [],
  bySchool: false,
  leavesBare: SMOOTH,
  finish: 'satin',
  lay(_school, { pencils, depth }, context) {
    const [dark, light] = [depth ?? pencils[0]!, pencils.at(-1)!];
    const between = pencils.length > 2 ? pencils.slice(1, -1) : pencils.slice(-1);
    const plain: LayerDraft[] = [
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 2,
        from: 0,
        to: 0.3,
        bands: 1,
        purpose: 'The dark of the ladder.',
      },
      ...between.map((pencil, k): LayerDraft => ({
        id: k === 0 ? 'middle' : `middle-${k + 1}`,
        role: 'mid',
        pencil,
        pressure: 'medium',
        passes: 2,
        from: 0.08,
        to: 0.45 + (0.25 * (k + 1)) / between.length,
        bands: 1,
        stroke: 'one direction',
        purpose: 'The metal’s own colour, in strokes that all run one way, as brushing does.',
      })),
      ...traces(context, { and: { from: 0, to: 0.9, hardTo: true } }),
      {
        id: 'light',
        role: 'light',
        pencil: light,
        pressure: 'medium',
        passes: 1,
        from: 0.4,
        to: 0.9,
        bands: 2,
        purpose: 'Up to the highlight, which stays paper.',
      },
      {
        id: 'deepen',
        role: 'dark',
        pencil: dark,
        pressure: 'firm',
        passes: 1,
        from: 0,
        to: 0.14,
        bands: 3,
        purpose: 'The darkest accents, put back last.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
