import { coveredMm2 } from './covered.ts';
import { type EffectLayers, type RegionContext, effectById } from './effects/index.ts';
import { fitted } from './effects/fit.ts';
import { bodyOf } from './family.ts';
import type { Family, Layer } from './schemas.ts';
import { MOST_FIELDS, fieldsOf } from './zone.ts';

/** Where a shadow falls on less of a thing than this, it is left to the shades of its form. */
const LEAST_SHADOW = 0.03;
/** From this much of a shadow on it is laid, and it fades over half of what there is of it: softer the further off. */
const FROM = 0.3;
const FADES = 0.5;
/** A ground whose middle is darker than this, L*, is dark, and shadows on it fade over less. */
const DARK_GROUND = 52;
const FADES_ON_DARK = 0.25;

/**
 * Layers with the shadow that falls on a thing before those of its own form, where light throws one there: away from it
 * under a light from a side, close all round in soft light. It is forgotten most. Its colour is the ground's own, deeper: the
 * extra for deep shadow or the darkest of the family; on what is pale in shadow too it is whispered. It takes the
 * place of whispered traces of neighbours; where layers look at two fields otherwise, as those of water do, and on metal,
 * which mirrors, it is left to the shades of the form.
 */
export function withCastShadow(
  { layers, notes }: EffectLayers,
  effectId: string,
  { pencils, depth }: Family,
  context: RegionContext,
): EffectLayers {
  if (context.regions.some(({ lit }) => !lit)) return { layers, notes };
  const { pale = false, jumps = false } = effectById(effectId);
  // On a dark ground a soft pale shadow is not seen: it is laid harder there, with a harder edge.
  const onDark = (context.labOf?.(bodyOf({ pencils }))?.[0] ?? 100) < DARK_GROUND;
  const [shadow] = fitted(
    [
      {
        id: 'cast-shadow',
        role: 'dark',
        pencil: (!pale && depth) || pencils[0]!,
        pressure: pale ? 'whisper' : onDark ? 'medium' : 'light',
        passes: 2,
        field: 'shadow',
        from: FROM,
        to: 1,
        fades: onDark ? FADES_ON_DARK : FADES,
        bands: 1,
        purpose: 'The shadow that falls on it, before its own: darkest beside what casts it, softer further off.',
      },
    ],
    context,
  ) as [Layer];
  const room = (of: readonly Layer[]) => new Set([...fieldsOf(of), shadow.zone.field]).size <= MOST_FIELDS;
  // What mirrors shows others and hardly a shadow; on anything else that comes before whispered traces of others.
  const own = room(layers) || jumps ? layers : layers.filter((layer) => !isTrace(layer));
  const area = context.regions.reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
  if (!room(own) || coveredMm2(shadow, context.regions) < LEAST_SHADOW * area) return { layers, notes };
  const form = own.findIndex(({ role, id }) => role === 'dark' || id === 'middle');
  const at = Math.max(0, form);
  const says = 'The shadow that falls on it takes the place of traces of what stands beside it.';
  return {
    layers: [...own.slice(0, at), shadow, ...own.slice(at)],
    notes: own.length < layers.length ? [...notes, says] : notes,
  };
}

function isTrace({ role, pressure }: Layer): boolean {
  return role === 'reflected' && pressure === 'whisper';
}
