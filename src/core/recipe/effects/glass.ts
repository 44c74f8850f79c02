import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';
import { traces } from './traces.ts';

/** Ids of forms that have no edge which turns away. */
const FLAT: ReadonlySet<string> = new Set(['flat', 'plane']);

/** A flat pane shows no edge of its own: what it mirrors lies across it in bands, with paper between. */
function pane(dark: string, light: string): LayerDraft[] {
  const across = { field: 'along', stroke: 'one direction', direction: 'across the shape', bands: 1 } as const;
  return [
    {
      id: 'base',
      role: 'light',
      pencil: light,
      pressure: 'whisper',
      passes: 1,
      ...across,
      from: 0,
      to: 1,
      purpose: 'A whisper of what is behind the pane.',
    },
    {
      id: 'shadow',
      role: 'dark',
      pencil: dark,
      pressure: 'light',
      passes: 1,
      ...across,
      from: 0,
      to: 0.26,
      edge: 'hard',
      purpose: 'What the pane mirrors, as a band across it with a hard edge.',
    },
    {
      id: 'streak',
      role: 'dark',
      pencil: dark,
      pressure: 'light',
      passes: 1,
      ...across,
      from: 0.46,
      to: 0.56,
      edge: 'hard',
      bands: 2,
      purpose: 'A second, narrower band; what lies between the two stays paper.',
    },
  ];
}

/** Clear glass: mostly paper, with dark lines close to its edges and a hard highlight. */
export const glass: Effect = {
  id: 'glass',
  name: 'glass',
  says: 'Mostly paper: hard dark lines near its edges, a whisper of colour between, a hard highlight.',
  suits: ['glass'],
  bySchool: false,
  leavesBare: 0.6,
  pale: true,
  reserves: 'tone',
  lay(_school, { pencils }, context) {
    const [dark, light] = [pencils[0]!, pencils.at(-1)!];
    if (context.form && FLAT.has(context.form)) return { layers: fitted(pane(dark, light), context), notes: [] };
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'whisper',
        passes: 1,
        from: 0,
        to: 0.72,
        bands: 1,
        purpose: 'A whisper of what is behind the glass.',
      },
      ...traces(context, { and: { from: 0, to: 0.72, hardTo: true } }),
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 1,
        from: 0,
        to: 0.14,
        bands: 1,
        edge: 'hard',
        stroke: 'following the contour',
        purpose: 'A dark line close to the edge.',
      },
      {
        id: 'streak',
        role: 'dark',
        pencil: dark,
        pressure: 'light',
        passes: 1,
        from: 0.24,
        to: 0.32,
        bands: 3,
        edge: 'hard',
        stroke: 'following the contour',
        purpose: 'A second, paler line: the far wall of the glass.',
      },
    ];
    return { layers: fitted(plain, context), notes: [] };
  },
};
