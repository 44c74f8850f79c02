import { fillPaper } from '../fill-paper.ts';
import { paperLeft } from '../paper-left.ts';
import type { LayerEdit } from '../schemas.ts';
import { type Check, nameOf } from './check.ts';

/** So much more paper than an effect leaves is seen. */
const SEEN = 0.05;
/** Less than this share of what is laid are edges, where two zones fade into each other. */
const EDGES = 0.12;

/** What is meant to be closed ends closed: a page is finished when no paper shows that was not meant to. */
export const paperShows: Check = {
  id: 'paper-shows',
  title: 'Paper shows through.',
  find({ recipe, effect, context, optics, ground }) {
    const { layers } = recipe;
    const leadOf = (pencil: string) => optics.get(pencil);
    const { open, most } = paperLeft(recipe, context, leadOf, ground, effect.leavesBare + SEEN);
    if (open <= EDGES) return null;
    const filled = fillPaper(recipe, context, leadOf, ground);
    const changed = filled.layers.filter((layer, i) => !isAlike(layer, layers[i]!));
    const sentence = `Up to ${Math.round(100 * most)}% of the paper still shows where this is meant to be closed.`;
    if (changed.length === 0) {
      return {
        sentence,
        remedy: 'Its layers cannot close it on this paper: a colourless blender can, or solvent where it is allowed.',
        change: null,
      };
    }
    const change: Record<string, LayerEdit> = {};
    const ways = changed.map((layer) => {
      const before = layers.find(({ id }) => id === layer.id)!;
      change[layer.id] = { passes: layer.passes, pressure: layer.pressure };
      const pressed = layer.pressure === before.pressure ? '' : `lay it ${layer.pressure}`;
      const gone = layer.passes === before.passes ? '' : `go over it ${layer.passes} times`;
      return `${nameOf(layers, before)}: ${[gone, pressed].filter(Boolean).join(' and ')}`;
    });
    const said = ways.join('; ');
    return { sentence, remedy: `${said.charAt(0).toUpperCase()}${said.slice(1)}.`, change: { layers: change } };
  },
};

function isAlike(a: { passes: number; pressure: string }, b: { passes: number; pressure: string }): boolean {
  return a.passes === b.passes && a.pressure === b.pressure;
}
