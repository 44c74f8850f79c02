import { type Effect } from './effects/index.ts';
import type { Layer } from './schemas.ts';
import { type Pull } from './strokes.ts';

/** Edges up to this, mm, are drawn and not pulled. */
const HARD_MM = 0.15;

/**
 * Layers that say which way they are pulled where they fade, as their effect asks or else from what they are: the darks out
 * into the light, the lights into the dark.
 */
export function pulled(layers: readonly Layer[], { pulls }: Pick<Effect, 'pulls'>): Layer[] {
  return layers.map((layer) => {
    const { zone, tool, role } = layer;
    const fades = (zone.from > 0 || zone.to < 1) && zone.softnessMm > HARD_MM && !zone.hardTo;
    if (tool || !fades) return layer;
    const own: Pull = role === 'light' || role === 'blender' ? 'light to dark' : 'dark to light';
    return { ...layer, pull: pulls ?? own };
  });
}
