import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** A cut stone: facets beside each other dark and light by the way they face, with hard edges. */
export const cutGem: Effect = {
  id: 'cut-gem',
  name: 'cut gem',
  says: 'Facet by facet with hard edges: the darkest right beside the white one, and a glow on the far side.',
  suits: [],
  isAsked: ({ form }, material) => form === 'faceted' && material?.id === 'gem',
  bySchool: false,
  leavesBare: SMOOTH,
  reserves: 'turn',
  lay(_school, { pencils, depth }, context) {
    const [dark, light] = [depth ?? pencils[0]!, pencils.at(-1)!];
    const between = pencils.length > 2 ? pencils.slice(1, -1) : pencils.slice(0, 1);
    const facet = (from: number, to: number) => ({ field: 'turn' as const, from, to, edge: 'hard' as const });
    const plain: LayerDraft[] = [
      {
        id: 'base',
        role: 'light',
        pencil: light,
        pressure: 'light',
        passes: 1,
        bands: 1,
        ...facet(0, 0.9),
        purpose: 'The stone’s palest over every facet but the one that faces the light, which stays paper.',
      },
      ...between.map((pencil, k): LayerDraft => ({
        id: k === 0 ? 'middle' : `middle-${k + 1}`,
        role: 'mid',
        pencil,
        pressure: 'medium',
        passes: 2,
        bands: 1,
        ...facet(0.24 + (0.2 * k) / between.length, 0.74),
        purpose: 'The facets that face neither to nor from the light.',
      })),
      {
        id: 'shadow',
        role: 'dark',
        pencil: dark,
        pressure: 'firm',
        passes: 2,
        bands: 1,
        ...facet(0.7, 0.9),
        purpose: 'The facets right beside the white one: black next to white is what sparkles.',
      },
      {
        id: 'light',
        role: 'light',
        pencil: light,
        pressure: 'firm',
        passes: 1,
        bands: 2,
        ...facet(0, 0.24),
        purpose: 'The light that has gone through the stone, on the far facets.',
      },
    ];
    return {
      layers: fitted(plain, context),
      notes: pencils.length < 3 ? ['With fewer than three pencils the facets part by pressure.'] : [],
    };
  },
};
