import { PRESSURES } from '../../laydown/index.ts';
import { drawsLines } from '../strokes.ts';
import { type Check, nameOf } from './check.ts';

/** Wherever layers meet, every one must still find tooth. */
export const fullTooth: Check = {
  id: 'full-tooth',
  title: 'The paper fills up.',
  find({ recipe: { layers }, places, toothFull }) {
    let worst = { left: 1, at: 0, before: [] as readonly number[] };
    for (const { layers: there, toothBefore } of places) {
      toothBefore.forEach((left, k) => {
        // Dots and fine lines hold where little tooth is left.
        if (k > 0 && left < worst.left && !drawsLines(layers[there[k]!]!.stroke))
          worst = { left, at: there[k]!, before: there.slice(0, k) };
      });
    }
    if (worst.left > toothFull) return null;
    // The heaviest of those before gives most back.
    const weight = (i: number) => PRESSURES.indexOf(layers[i]!.pressure) + layers[i]!.passes / 10;
    const heaviest = layers[worst.before.reduce((a, b) => (weight(b) > weight(a) ? b : a))]!;
    const at = PRESSURES.indexOf(heaviest.pressure);
    return {
      sentence: `Where most layers meet, ${nameOf(layers, layers[worst.at]!)} finds only ${Math.round(100 * worst.left)}% of the tooth left.`,
      remedy: `Lay ${nameOf(layers, heaviest)} more lightly, ${at > 0 ? PRESSURES[at - 1] : 'once'}.`,
      change: { layers: { [heaviest.id]: at > 0 ? { pressure: PRESSURES[at - 1] } : { passes: 1 } } },
    };
  },
};
