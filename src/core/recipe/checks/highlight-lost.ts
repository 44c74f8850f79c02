import { type Check, nameOf } from './check.ts';

/** A hard highlight takes so much of the way below it. */
const KEPT_FROM = 0.9;

/** Where an effect reserves its highlight, no layer enters that. */
export const highlightLost: Check = {
  id: 'highlight-lost',
  title: 'The highlight is lost.',
  find({ recipe: { layers }, effect }) {
    const field = effect.reserves;
    if (!field) return null;
    const entering = layers.filter(
      ({ zone, role }) => role !== 'white' && zone.field === field && zone.to > 0.985 && zone.and === undefined,
    );
    if (entering.length === 0) return null;
    const names = entering.map((layer) => nameOf(layers, layer)).join(' and ');
    return {
      sentence: `L${names.slice(1)} ${entering.length > 1 ? 'enter' : 'enters'} the highlight, which stays paper in a ${effect.name}.`,
      remedy: 'End it hard before the highlight.',
      change: {
        layers: Object.fromEntries(
          entering.map(({ id, zone }) => [id, { to: Math.max(zone.from + 0.05, KEPT_FROM), hardTo: true }]),
        ),
      },
    };
  },
};
