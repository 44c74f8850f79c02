import { placeOn } from '../../colour/index.ts';
import { type Check, accentsOf, codesOf, neighboursOf, pencilsAt } from './view.ts';

/** Accents lean to a side when their middle lies so far from the page's, as a share of its width. */
const LEANS = 0.18;
/** A thing up to this share of the area can repeat one. */
const SMALL = 0.06;

/** Accents that all sit on one side, or in one place only. */
export const accentsAside: Check = {
  id: 'accents-aside',
  name: 'accents out of balance',
  look(view) {
    const accents = accentsOf(view);
    if (accents.length === 0 || view.seen.length < 4) return [];
    const weight = accents.reduce((sum, { areaMm2 }) => sum + Math.sqrt(areaMm2), 0);
    const x = accents.reduce((sum, { areaMm2, at }) => sum + Math.sqrt(areaMm2) * at.x, 0) / weight;
    const side = x - 0.5;
    if (Math.abs(side) < LEANS) return [];
    const strongest = accents.reduce((p, q) => (q.chroma > p.chroma ? q : p));
    const repeats = [...view.seen, ...view.open]
      .filter((thing) => !thing.natural && !thing.laid && !accents.some(({ id }) => id === thing.id))
      .filter((thing) => Math.sign(thing.at.x - 0.5) === -Math.sign(side) && Math.abs(thing.at.x - 0.5) > 0.08)
      .filter((thing) => thing.areaMm2 < SMALL * wholeArea(view))
      .sort((p, q) => q.areaMm2 - p.areaMm2);
    const carrier = repeats.at(0);
    const pencils = pencilsAt(view, [strongest.angle], carrier ? neighboursOf(view, carrier.id) : []);
    const accentsWords =
      accents.length === 1 ? `${accents[0].name} is the only accent and sits` : `All ${accents.length} accents sit`;
    return [
      {
        kind: 'accents-aside',
        things: accents.map(({ id }) => id),
        sentence: `${accentsWords} on the ${side > 0 ? 'right' : 'left'}.`,
        remedy: {
          sentence: carrier
            ? `Repeat ${placeOn(view.wheel, strongest.angle).name} on the ${side > 0 ? 'left' : 'right'}: ${carrier.name} could carry it; ${codesOf(pencils)}.`
            : `Nothing small and free lies on the ${side > 0 ? 'left' : 'right'}; quieten the strongest accent instead.`,
          angles: [strongest.angle],
          pencils: pencils.map(({ id }) => id),
        },
        weight: 0.35 + 0.6 * (Math.abs(side) - LEANS),
      },
    ];
  },
};

/** The whole area of the page's things, mm2. */
function wholeArea({ seen, open }: Parameters<Check['look']>[0]): number {
  return [...seen, ...open].reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
}
