import { toolById } from '../../laydown/index.ts';
import { type Check, nameOf, startOf } from './check.ts';

/** Pens and paint leave nothing for a pencil to hold to: what comes last comes last. */
export const afterPen: Check = {
  id: 'after-pen',
  title: 'Something is laid over a pen.',
  find({ recipe: { layers }, places }) {
    for (const { layers: there } of places) {
      for (const i of there) {
        const { tool } = layers[i]!;
        if (!tool || toolById(tool).comes !== 'last' || toolById(tool).unmasks) continue;
        const over = there.filter((k) => k > i && !isLast(layers[k]!.tool));
        if (over.length === 0) continue;
        const pen = layers[i]!;
        const rest = layers.filter((layer) => layer !== pen).map(({ id }) => id);
        return {
          sentence: `${startOf(layers, pen)} is ${toolById(tool).name}, and ${nameOf(layers, layers[over[0]!]!)} goes over it: it will not take.`,
          remedy: 'Lay it last of all.',
          change: { order: [...rest, pen.id] },
        };
      }
    }
    return null;
  },
};

function isLast(tool: string | undefined): boolean {
  return tool !== undefined && toolById(tool).comes === 'last';
}
