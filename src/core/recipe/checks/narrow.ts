import { POINT_MM } from '../strokes.ts';
import { type Check } from './check.ts';

/** Regions that are too narrow for some of the layers. */
export const narrow: Check = {
  id: 'narrow',
  title: 'Some are narrow.',
  about: 'widths',
  find({ recipe, context: { regions } }) {
    const most = Math.max(0, ...recipe.layers.map((layer) => layer.fromWidthMm));
    const tight = regions.filter((region) => region.usableWidthMm < most).length;
    if (tight === 0) return null;
    return {
      sentence: `${tight} of ${regions.length} regions are under ${most.toFixed(1)} mm wide and get fewer layers.`,
      remedy: `A band cannot be narrower than a sharp point, ${POINT_MM.sharp} mm: reserve the highlight first there.`,
      change: null,
    };
  },
};
