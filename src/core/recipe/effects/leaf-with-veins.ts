import { inOrder } from './blend.ts';
import { type Effect, SMOOTH } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Leaves narrower than this, mm, have no room for veins. */
const VEINS_MM = 5;

/** A leaf: the school's order in strokes out from the fold, a shade along each vein, and the veins last with a sharp dark. */
export const leafWithVeins: Effect = {
  id: 'leaf-with-veins',
  name: 'leaf with veins',
  says: 'Stroked out from the fold, a shade along one side of each vein; the printed veins are put back last, sharp and dark.',
  suits: ['leaf'],
  bySchool: true,
  leavesBare: SMOOTH,
  lay(school, family, context) {
    const dark = family.pencils[0]!;
    const wide = Math.max(...context.regions.map(({ usableWidthMm }) => usableWidthMm)) >= VEINS_MM;
    const own = inOrder(family, school.sketch).map((layer): LayerDraft => ({ ...layer, direction: 'along the shape' }));
    if (!wide) {
      return {
        layers: fitted(own, context),
        notes: [`Under ${VEINS_MM} mm there is no room for veins: the fold alone is shown.`],
      };
    }
    const shades: LayerDraft = {
      id: 'beside-veins',
      role: 'dark',
      pencil: dark,
      pressure: 'light',
      passes: 1,
      from: 0.1,
      to: 0.6,
      bands: 3,
      stroke: 'fine lines',
      point: 'sharp',
      purpose: 'A thin shade along one side of each vein, so that it stands up.',
    };
    const veins: LayerDraft = {
      id: 'veins',
      role: family.depth ? 'depth' : 'dark',
      pencil: family.depth ?? dark,
      pressure: 'firm',
      passes: 1,
      from: 0,
      to: 0.9,
      bands: 3,
      stroke: 'fine lines',
      point: 'sharp',
      purpose: 'The printed veins again, last and sharp: layers have dulled them.',
    };
    // A burnish would leave nothing for the veins to hold to.
    const end = own.at(-1)!;
    const last: LayerDraft = end.pressure === 'burnish' ? { ...end, pressure: 'firm' } : end;
    return { layers: fitted([...own.slice(0, -1), shades, last, veins], context), notes: [] };
  },
};
