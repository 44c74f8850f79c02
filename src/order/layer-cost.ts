import { minutesOfLayer } from '../core/bench/index.ts';
import { type Paper, type PencilOptics } from '../core/laydown/index.ts';
import { type Layer, type LitRegion, coveredMm2 } from '../core/recipe/index.ts';
import { type Wear, wearOf } from '../core/tray/index.ts';

/** What one layer takes on the regions of its thing that are wide enough for it. */
export interface LayerCost {
  minutes: number;
  wear: Wear;
  /** Regions that it is laid on. */
  regions: number;
}

const NO_WEAR: Wear = { laidMm: 0, points: 0, lengthMm: 0 };

/**
 * Minutes and lead of a layer.
 * @param hardness of the lead; undefined where nobody said
 */
export function costOfLayer(
  layer: Layer,
  regions: readonly LitRegion[],
  optics: PencilOptics,
  paper: Paper,
  hardness?: number,
): LayerCost {
  const { fromWidthMm, pressure, passes, tool } = layer;
  const wide = regions.filter(({ usableWidthMm }) => usableWidthMm >= fromWidthMm);
  if (wide.length === 0) return { minutes: 0, wear: NO_WEAR, regions: 0 };
  const laid = new Array<typeof pressure>(passes).fill(pressure);
  return {
    minutes: minutesOfLayer(layer, wide),
    // A tool works what is laid: it takes no lead.
    wear: tool ? NO_WEAR : wearOf(optics, paper, laid, coveredMm2(layer, wide), hardness),
    regions: wide.length,
  };
}
