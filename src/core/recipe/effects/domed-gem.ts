import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Round stones and drops: dark right beside the highlight, then fading to a glow on the other side. */
export const domedGem: Effect = {
  id: 'domed-gem',
  name: 'domed gem',
  says: 'Dark right beside a hard highlight, fading to a glow on the side away from the light.',
  suits: ['gem'],
  bySchool: false,
  reserves: 'tone',
  lay(_school, { pencils, depth }, context) {
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
        to: 0.93,
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
        from: 0.22 + (0.26 * k) / between.length,
        to: 0.93,
        bands: 2,
        hardTo: true,
        purpose: 'Deeper towards the highlight.',
      })),
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'medium',
        passes: 2,
        from: 0.6,
        to: 0.93,
        bands: 1,
        hardTo: true,
        purpose: 'Darkest right beside the highlight.',
      },
      {
        id: 'deepen',
        role: 'dark',
        pencil: dark,
        pressure: 'firm',
        passes: 1,
        from: 0.8,
        to: 0.93,
        bands: 3,
        edge: 'hard',
        purpose: 'Sets the hard edge of the highlight.',
      },
    ];
    const notes = between.length === 0 ? ['With no pencil between dark and light the stone turns in one step.'] : [];
    return { layers: fitted(plain, context), notes };
  },
};
