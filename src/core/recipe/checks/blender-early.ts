import { toolById } from '../../laydown/index.ts';
import { type Check, nameOf, startOf } from './check.ts';

/** More of the tooth left than this, and a blender pushes paper about instead of colour. */
const EMPTY = 0.35;

/** A colourless blender moves what fills the tooth: before that it has nothing to move, and uses the tooth that colour needs. */
export const blenderEarly: Check = {
  id: 'blender-early',
  title: 'There is little to blend yet.',
  find({ recipe: { layers }, places }) {
    for (const [i, layer] of layers.entries()) {
      if (!layer.tool || !toolById(layer.tool).wantsFilled) continue;
      const left = places.flatMap((place) => {
        const at = place.layers.indexOf(i);
        return at < 0 ? [] : [place.toothBefore[at]!];
      });
      const mean = left.reduce((sum, tooth) => sum + tooth, 0) / Math.max(1, left.length);
      if (left.length === 0 || mean <= EMPTY) continue;
      const sentence = `${startOf(layers, layer)} is a blender, and on average ${Math.round(100 * mean)}% of the tooth under it is still empty.`;
      const later = layers.slice(i + 1).filter(({ tool }) => !tool);
      if (later.length > 0) {
        const rest = layers.filter((other) => other !== layer).map(({ id }) => id);
        const last = nameOf(layers, later.at(-1)!);
        return {
          sentence,
          remedy: `Lay all colour first: it goes after ${last}.`,
          change: { order: [...rest, layer.id] },
        };
      }
      const under = layers.slice(0, i).filter(({ tool, passes }) => !tool && passes < 6);
      const widest = under.reduce<(typeof under)[number] | null>(
        (a, b) => (!a || b.zone.to - b.zone.from > a.zone.to - a.zone.from ? b : a),
        null,
      );
      return {
        sentence,
        remedy: widest
          ? `Go over ${nameOf(layers, widest)} once more before it.`
          : 'Leave it out: nothing here fills the tooth.',
        change: widest ? { layers: { [widest.id]: { passes: widest.passes + 1 } } } : { without: [layer.id] },
      };
    }
    return null;
  },
};
