import { type Check, nameOf, startOf } from './check.ts';

/** Burnishing presses out the last tooth: what comes later over it slides. */
export const burnishedEarly: Check = {
  id: 'burnished-early',
  title: 'It is burnished too early.',
  find({ recipe: { layers }, places }) {
    for (const { layers: there } of places) {
      const burnish = there.find((i) => layers[i]!.pressure === 'burnish');
      const later =
        burnish === undefined ? undefined : there.find((i) => i > burnish && layers[i]!.pressure !== 'whisper');
      if (burnish === undefined || later === undefined) continue;
      const [early, over] = [layers[burnish]!, layers[later]!];
      const rest = layers.filter((layer) => layer !== early).map(({ id }) => id);
      return {
        sentence: `${startOf(layers, early)} presses the last tooth out, and ${nameOf(layers, over)} still goes over it.`,
        remedy: `Burnish last: lay it after ${nameOf(layers, layers.at(-1)!)}.`,
        change: { order: [...rest, early.id] },
      };
    }
    return null;
  },
};
