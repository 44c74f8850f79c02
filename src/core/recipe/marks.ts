import { type EffectLayers, type RegionContext } from './effects/index.ts';
import { fitted } from './effects/fit.ts';
import type { Family } from './schemas.ts';

/** The stroke that puts printed lines back. */
const FINE = 'fine lines' as const;

/**
 * An effect on a thing in which the artist drew marks: they are put back last where they are to be followed, and none is put
 * back where they are to be ignored, with what hides them.
 */
export function withMarks(
  { layers, notes }: EffectLayers,
  { pencils, depth }: Family,
  context: RegionContext,
): EffectLayers {
  if (context.marks === 'ignore') {
    const kept = layers.filter(({ stroke }) => stroke !== FINE);
    const hides = context.white
      ? 'a white that covers, pressed over them first, hides them'
      : 'what covers hides them best';
    const says = `The artist’s marks in it are ignored: none is put back, strokes go across them, and ${hides}.`;
    return { layers: kept.length > 0 ? kept : layers, notes: [...notes, says] };
  }
  if (context.marks !== 'follow' || layers.some(({ stroke }) => stroke === FINE)) return { layers, notes };
  const [marks] = fitted(
    [
      {
        id: 'marks',
        role: depth ? 'depth' : 'dark',
        pencil: depth ?? pencils[0]!,
        pressure: 'firm',
        passes: 1,
        from: 0,
        to: 0.75,
        bands: 2,
        stroke: FINE,
        point: 'sharp',
        purpose: 'The artist’s own marks again, last and sharp: the shading follows them, and layers have dulled them.',
      },
    ],
    context,
  );
  return { layers: [...layers, marks!], notes };
}
