import { toolById } from '../../laydown/index.ts';
import { type Check, startOf } from './check.ts';

/** What keeps colour away, and what lies under it, comes before it. */
export const tooLate: Check = {
  id: 'too-late',
  title: 'This belongs before all colour.',
  find({ recipe: { layers }, places }) {
    for (const { layers: there } of places) {
      const colour = there.findIndex((i) => !layers[i]!.tool);
      const late = there.find((i, k) => colour >= 0 && k > colour && comesFirst(layers[i]!.tool));
      if (late === undefined) continue;
      const own = layers[late]!;
      const first = layers.filter((layer) => layer !== own && comesFirst(layer.tool));
      const rest = layers.filter((layer) => layer !== own && !first.includes(layer));
      return {
        sentence: `${startOf(layers, own)} is ${toolById(own.tool!).name}, and colour lies under it already.`,
        remedy: 'Do it first.',
        change: { order: [...first, own, ...rest].map(({ id }) => id) },
      };
    }
    return null;
  },
};

function comesFirst(tool: string | undefined): boolean {
  return tool !== undefined && toolById(tool).comes === 'first';
}
