import { type EffectLayers, type RegionContext } from './effects/index.ts';

/** The darks of a limb behind reach so much further into its form, as a share of the tone, and never over more than most of it. */
const FURTHER = { by: 0.12, most: 0.7 };

/**
 * A limb that lies behind what it belongs to is a step darker than that, so that it steps back: its darks are led further
 * into its form.
 */
export function withLimbBehind(
  { layers, notes }: EffectLayers,
  { limbBehind }: Pick<RegionContext, 'limbBehind'>,
): EffectLayers {
  if (!limbBehind) return { layers, notes };
  const deeper = layers.map((layer) => {
    const { role, zone } = layer;
    if (role !== 'dark' || zone.field !== 'tone' || zone.from > 0 || zone.to >= FURTHER.most) return layer;
    return { ...layer, zone: { ...zone, to: Math.min(FURTHER.most, Math.round(100 * (zone.to + FURTHER.by)) / 100) } };
  });
  if (deeper.every((layer, i) => layer === layers[i])) return { layers, notes };
  return { layers: deeper, notes: [...notes, `It lies behind ${limbBehind}: a step darker, so that it steps back.`] };
}
