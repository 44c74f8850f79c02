import { type Check, nameOf } from './check.ts';

/** A dark this deep, L*, is dragged into a neighbour as pale as this. */
const DARK = 45;
const PALE = 78;

/** A heavy dark at the edge of something pale is dragged into it. */
export const darkAtBorder: Check = {
  id: 'dark-at-border',
  title: 'Dark meets pale at the border.',
  find({ recipe: { layers }, places, thickOf, neighbours }) {
    const pale = neighbours.reduce<(typeof neighbours)[number] | null>(
      (best, each) => (each.palest >= PALE && (!best || each.palest > best.palest) ? each : best),
      null,
    );
    if (!pale) return null;
    // The edge of a shape is its deepest tone.
    const edge = places.find(({ place }) => (place.tone?.value ?? 0) === 0);
    const heavy = edge?.layers.find((i) => {
      const { pencil, pressure, point, tool } = layers[i]!;
      return !tool && thickOf(pencil)[0] < DARK && (pressure === 'firm' || pressure === 'burnish') && point !== 'sharp';
    });
    if (heavy === undefined) return null;
    return {
      sentence: `${pale.name} beside it is pale, and ${nameOf(layers, layers[heavy]!)} is a dark laid ${layers[heavy]!.pressure} right at the edge.`,
      remedy: `Lay ${pale.name} first, and draw this edge with a sharp point.`,
      change: { layers: { [layers[heavy]!.id]: { point: 'sharp' } } },
    };
  },
};
