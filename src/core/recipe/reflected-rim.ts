import { type EffectLayers, type RegionContext, effectById, usualWidth } from './effects/index.ts';
import { coveredMm2 } from './covered.ts';
import type { Layer } from './schemas.ts';
import { drawsLines } from './strokes.ts';
import { MOST_FIELDS, fieldsOf } from './zone.ts';

/** Shapes narrower than this, mm, have no room for a rim beside the dark. */
const ROOM_MM = 6;
/** A surface that turns away so far from the light is the rim that reflected light reaches, and how softly that ends. */
const RIM = { to: 0.1, fades: 0.14 };
/** A rim on less of a thing than this is none. */
const LEAST_RIM = 0.015;

/**
 * Layers whose darks leave a rim at the side that turns furthest from the light, where light comes back from what lies
 * beside: the core of a shadow is darker than its edge. In soft light there is no such side.
 */
export function withReflectedRim(
  { layers, notes }: EffectLayers,
  effectId: string,
  context: RegionContext,
): EffectLayers {
  const { bySchool, pale = false } = effectById(effectId);
  if (!context.directLight || !bySchool || pale || usualWidth(context) < ROOM_MM) return { layers, notes };
  if (context.regions.some(({ lit }) => !lit)) return { layers, notes };
  const fields = new Set([...fieldsOf(layers), 'turn' as const]);
  const width = usualWidth(context);
  const rim = { field: 'turn' as const, from: 0, to: RIM.to, softnessMm: RIM.fades * width, overMm: width };
  const area = context.regions.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  if (fields.size > MOST_FIELDS || coveredMm2({ zone: rim, fromWidthMm: 0 }, context.regions) < LEAST_RIM * area) {
    return { layers, notes };
  }
  // Fine lines and dots are drawn right to the edge.
  const dark = ({ role, zone, stroke }: Layer) =>
    (role === 'dark' || role === 'depth') && zone.field === 'tone' && !zone.and && !drawsLines(stroke);
  return {
    layers: layers.map((layer) =>
      dark(layer) ? { ...layer, zone: { ...layer.zone, and: { ...rim, from: RIM.to, to: 1 } } } : layer,
    ),
    notes: [...notes, 'A rim of reflected light stays paler at the side that is turned away.'],
  };
}
