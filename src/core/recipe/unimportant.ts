import { type EffectLayers } from './effects/index.ts';
import { worthOf } from './layer-kinds.ts';
import { LEAST_LAYERS } from './trim.ts';

/** Layers worth less than this in their recipe are not laid on what matters little. */
const WORTH_LAYING = 0.5;

/** An effect for a thing that matters little: without the layers that only refine it, and saying which those are. */
export function withoutRefining({ layers, notes }: EffectLayers): EffectLayers {
  const refining = layers.filter((layer) => worthOf(layer) < WORTH_LAYING).slice(0, layers.length - LEAST_LAYERS);
  if (refining.length === 0) return { layers, notes };
  const says = `It matters little here, so ${refining.length === 1 ? 'one layer is' : `${refining.length} layers are`} left out: ${refining.map(({ purpose }) => purpose.replace(/[.;:].*$/s, '').toLowerCase()).join('; ')}.`;
  return { layers: layers.filter((layer) => !refining.includes(layer)), notes: [...notes, says] };
}
