import { inOrder } from './blend.ts';
import { type Effect } from './effect.ts';
import { type LayerDraft, fitted } from './fit.ts';

/** Leaves narrower than this, mm, have no room for veins. */
const VEINS_MM = 5;

/** A leaf: its veins first, with the palest pressed in, then the school's order in strokes out from the fold. */
export const leafWithVeins: Effect = {
  id: 'leaf-with-veins',
  name: 'leaf with veins',
  says: 'The veins are pressed in first with the palest, so that they stay; the rest is stroked out from the fold.',
  suits: ['leaf'],
  bySchool: true,
  lay(school, family, context) {
    const [dark, light] = [family.pencils[0]!, family.pencils.at(-1)!];
    const wide = Math.max(...context.regions.map(({ usableWidthMm }) => usableWidthMm)) >= VEINS_MM;
    const own = inOrder(family, school.sketch).map((layer): LayerDraft => ({ ...layer, direction: 'along the shape' }));
    if (!wide) {
      return {
        layers: fitted(own, context),
        notes: [`Under ${VEINS_MM} mm there is no room for veins: the fold alone is shown.`],
      };
    }
    const veins: LayerDraft = {
      id: 'veins',
      role: 'light',
      pencil: light,
      pressure: 'firm',
      passes: 1,
      from: 0.6,
      to: 1,
      bands: 3,
      stroke: 'following the contour',
      point: 'sharp',
      purpose: 'The veins, as fine firm lines from the fold: what is laid later hardly takes on them.',
    };
    const shades: LayerDraft = {
      id: 'beside-veins',
      role: 'dark',
      pencil: dark,
      pressure: 'light',
      passes: 1,
      from: 0.1,
      to: 0.6,
      bands: 3,
      stroke: 'following the contour',
      point: 'sharp',
      purpose: 'A thin shade along one side of each vein, so that it stands up.',
    };
    const last = own.at(-1)!;
    return { layers: fitted([veins, ...own.slice(0, -1), shades, last], context), notes: [] };
  },
};
