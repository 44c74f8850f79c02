import { placeOn, turn } from '../../colour/index.ts';
import { type Check, type View, codesOf, neighboursOf, pencilsAt } from './view.ts';

/** Something stands out more than the focus when its contrast is so many times as large. */
const STRONGER = 1.1;
/** CIEDE2000 from its surroundings below which a focus is weak whatever else there is. */
const WEAK = 18;
/** Things smaller than this share do not draw the eye from it. */
const SEEN_SHARE = 0.003;

/** A focus that stands out less than something else, or from nothing at all. */
export const weakFocus: Check = {
  id: 'weak-focus',
  name: 'the focus is not the strongest',
  look(view) {
    const strength = contrasts(view);
    const rivals = view.seen.filter(({ focus, share, id }) => !focus && share > SEEN_SHARE && strength.has(id));
    return view.seen
      .filter(({ focus, id }) => focus && strength.has(id))
      .flatMap((thing) => {
        const own = strength.get(thing.id)!;
        const rival = rivals.reduce<(typeof rivals)[number] | null>(
          (best, each) => (best && strength.get(best.id)! >= strength.get(each.id)! ? best : each),
          null,
        );
        const beaten = rival && strength.get(rival.id)! > STRONGER * own;
        if (own >= WEAK && !beaten) return [];
        const around = neighboursOf(view, thing.id);
        const largest = view.borders
          .filter(({ front, behind }) => front.id === thing.id || behind.id === thing.id)
          .reduce((p, q) => (q.lengthMm > p.lengthMm ? q : p));
        const ground = largest.front.id === thing.id ? largest.behind : largest.front;
        const opposite = turn(ground.angle + 180);
        const pencils = pencilsAt(view, [opposite], around, { least: Math.max(WEAK, 1.2 * own) });
        return [
          {
            kind: 'weak-focus',
            things: beaten ? [thing.id, rival.id] : [thing.id],
            sentence:
              `${thing.name} should draw the eye first but stands only ${own.toFixed(0)} apart from what lies round it` +
              (beaten ? `; ${rival.name} stands ${strength.get(rival.id)!.toFixed(0)}.` : '.'),
            remedy: {
              sentence:
                `Give it ${placeOn(view.wheel, opposite).name}, against ${ground.name}; ${codesOf(pencils)}.` +
                (beaten ? ` Or quieten ${rival.name}.` : ''),
              angles: [opposite],
              pencils: pencils.map(({ id }) => id),
            },
            weight: 0.9,
          },
        ];
      });
  },
};

/** How far each thing stands apart from what lies round it, CIEDE2000 by border length. */
function contrasts({ borders }: View): Map<string, number> {
  const sums = new Map<string, { apart: number; length: number }>();
  for (const { front, behind, lengthMm, apart } of borders) {
    for (const { id } of [front, behind]) {
      const sum = sums.get(id) ?? { apart: 0, length: 0 };
      sums.set(id, { apart: sum.apart + lengthMm * apart, length: sum.length + lengthMm });
    }
  }
  return new Map([...sums].map(([id, { apart, length }]) => [id, apart / length]));
}
