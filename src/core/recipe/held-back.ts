import { type Pressure } from '../laydown/index.ts';
import { type EffectLayers } from './effects/index.ts';
import { LEAST_LAYERS } from './trim.ts';

/** From so far off on, 0 the nearest of a scene to 1 the farthest, a thing has no deep darks. */
const FAR_FROM = 0.66;
/** What is pressed hard in the dark is not, so far off. */
const SOFTER: Readonly<Partial<Record<Pressure, Pressure>>> = { firm: 'medium', burnish: 'medium' };

/**
 * An effect on something that lies far off in a scene: its deepest dark is left out or laid more softly, since air lies
 * between; what is near has it all.
 * @param far 0 the nearest to 1 the farthest; default no scene
 */
export function heldBack({ layers, notes }: EffectLayers, far: number | undefined): EffectLayers {
  if (far === undefined || far < FAR_FROM) return { layers, notes };
  const deepest = layers.filter(({ role }) => role === 'depth');
  const kept = layers.length - deepest.length >= LEAST_LAYERS ? layers.filter(({ role }) => role !== 'depth') : layers;
  const held = kept.map((layer) => {
    const softer = layer.role === 'dark' ? SOFTER[layer.pressure] : undefined;
    return softer ? { ...layer, pressure: softer } : layer;
  });
  const isHeld = held.length < layers.length || held.some((layer, i) => layer !== layers[i]);
  const says = 'It lies far off, so its darks are held back: air lies between.';
  return { layers: held, notes: isHeld ? [...notes, says] : notes };
}
