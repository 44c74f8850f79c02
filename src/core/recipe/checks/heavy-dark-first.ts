import { type Check, startOf } from './check.ts';

const DARK = 45;
/** What comes later and is paler by so much, L*, cannot lift a heavy dark any more. */
const PALER = 20;

/** A heavy dark first cannot be lifted; a light one can, and some schools begin with it. */
export const heavyDarkFirst: Check = {
  id: 'heavy-dark-first',
  title: 'The dark is heavy too early.',
  find({ recipe: { layers }, places, thickOf }) {
    for (const { layers: there } of places) {
      const heavy = there.find(
        (i) =>
          !layers[i]!.tool &&
          (layers[i]!.pressure === 'firm' || layers[i]!.pressure === 'burnish') &&
          thickOf(layers[i]!.pencil)[0] < DARK,
      );
      if (heavy === undefined) continue;
      const over = there.filter(
        (i) =>
          i > heavy && !layers[i]!.tool && thickOf(layers[i]!.pencil)[0] > thickOf(layers[heavy]!.pencil)[0] + PALER,
      );
      // One unifying layer over it is how a family is finished; more than that means it came too early.
      if (over.length < 2) continue;
      return {
        sentence: `${startOf(layers, layers[heavy]!)} lays a dark ${layers[heavy]!.pressure} before ${over.length} paler ones: they will not lift it.`,
        remedy: 'Lay it light, and put the dark back at the end if it is missed.',
        change: { layers: { [layers[heavy]!.id]: { pressure: 'light' } } },
      };
    }
    return null;
  },
};
