import { placeOn } from '../../colour/index.ts';
import {
  type Check,
  type Finding,
  type SeenThing,
  type View,
  accentsOf,
  codesOf,
  neighboursOf,
  pencilsAt,
} from './view.ts';

/** Accents lean to a side when their middle lies so far from the page's, as a share of its width. */
const LEANS = 0.18;
/** The first, and the last, of so many things from front to back are near, and far. */
const NEAR = 1 / 3;
const LEAST_THINGS = 9;
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
    if (Math.abs(side) < LEANS) return oneDepth(view, accents);
    const strongest = accents.reduce((p, q) => (q.chroma > p.chroma ? q : p));
    const repeats = [...view.seen, ...view.open]
      .filter((thing) => !thing.natural && !thing.laid && !accents.some(({ id }) => id === thing.id))
      .filter((thing) => Math.sign(thing.at.x - 0.5) === -Math.sign(side) && Math.abs(thing.at.x - 0.5) > 0.08)
      .filter((thing) => thing.areaMm2 < SMALL * wholeArea(view))
      .sort((p, q) => q.areaMm2 - p.areaMm2);
    const carrier = repeats.at(0);
    const pencils = pencilsAt(view, [strongest.angle], carrier ? neighboursOf(view, carrier.id) : []);
    const accentsWords =
      accents.length === 1 ? `${accents[0]!.name} is the only accent and sits` : `All ${accents.length} accents sit`;
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

/** Two accents or more that all lie in front, or all far back, while the page goes deeper. */
function oneDepth(view: View, accents: readonly SeenThing[]): Finding[] {
  const { seen } = view;
  const place = new Map(seen.map(({ id }, i) => [id, i / Math.max(1, seen.length - 1)]));
  const depths = accents.map(({ id }) => place.get(id)!);
  const near = depths.every((depth) => depth < NEAR);
  if (accents.length < 2 || seen.length < LEAST_THINGS || !(near || depths.every((depth) => depth > 1 - NEAR)))
    return [];
  const strongest = accents.reduce((p, q) => (q.chroma > p.chroma ? q : p));
  const carrier = [...(near ? [...seen].reverse() : seen)].find(
    ({ id, natural, laid, areaMm2 }) =>
      !natural && !laid && areaMm2 < SMALL * wholeArea(view) && (near ? place.get(id)! > 0.5 : place.get(id)! < 0.5),
  );
  if (!carrier) return [];
  const pencils = pencilsAt(view, [strongest.angle], neighboursOf(view, carrier.id));
  return [
    {
      kind: 'accents-aside',
      things: accents.map(({ id }) => id),
      sentence: `All ${accents.length} accents lie ${near ? 'near' : 'far back'}; the page goes ${near ? 'deeper' : 'further forward'}.`,
      remedy: {
        sentence: `Let ${carrier.name}, ${near ? 'further back' : 'further forward'}, repeat ${placeOn(view.wheel, strongest.angle).name}${near ? ' more quietly' : ''}; ${codesOf(pencils)}.`,
        angles: [strongest.angle],
        pencils: pencils.map(({ id }) => id),
      },
      weight: 0.3,
    },
  ];
}

/** The whole area of the page's things, mm2. */
function wholeArea({ seen, open }: View): number {
  return [...seen, ...open].reduce((sum, { areaMm2 }) => sum + areaMm2, 0);
}
