import { placeOn, turn } from '../../colour/index.ts';
import { PARTED } from '../measures.ts';
import {
  type Check,
  type SeenBorder,
  type View,
  GREY,
  codesOf,
  neighboursOf,
  off,
  pencilsAt,
  pencilsOfValue,
} from './view.ts';

/** Borders shorter than this part of all are told only after longer ones; so many at most. */
const MOST = 4;
/** Neighbours nearer than this run into each other, CIEDE2000: three fifths of what parts clearly. */
const RUNS_IN = 0.6 * PARTED;

/** Neighbours that will not part, border by border. */
export const unparted: Check = {
  id: 'unparted',
  name: 'neighbours that do not part',
  look(view) {
    const all = view.borders.reduce((sum, { lengthMm }) => sum + lengthMm, 0) || 1;
    return view.borders
      .filter(({ apart }) => apart < RUNS_IN)
      .sort((p, q) => q.lengthMm * (PARTED - q.apart) - p.lengthMm * (PARTED - p.apart))
      .slice(0, MOST)
      .map((border) => ({
        kind: 'unparted',
        things: [border.front.id, border.behind.id],
        sentence: sentenceOf(border),
        remedy: remedyFor(view, border),
        weight: Math.min(1, 0.3 + (border.lengthMm / all) * (1 - border.apart / PARTED)),
      }));
  },
};

function sentenceOf({ front, behind, apart, lengthMm }: SeenBorder): string {
  const value = Math.abs(front.lab[0] - behind.lab[0]).toFixed(0);
  const bothHued = Math.min(front.chroma, behind.chroma) >= GREY;
  const hue = bothHued ? `${off(front.angle, behind.angle).toFixed(0)}° of hue` : 'hardly a hue';
  return `${front.name} and ${behind.name} do not part along ${lengthMm.toFixed(0)} mm: ${apart.toFixed(0)} apart, ${value} of value, ${hue}.`;
}

function remedyFor(view: View, { front, behind }: SeenBorder) {
  // The smaller changes more easily; what keeps its natural colour or is coloured already does not change.
  const kept = ({ natural, laid }: SeenBorder['front']) => natural !== null || laid !== null;
  const order = front.areaMm2 <= behind.areaMm2 ? [front, behind] : [behind, front];
  const change = order.find((thing) => !kept(thing)) ?? order[0]!;
  const stays = change === front ? behind : front;
  if (!kept(change) && stays.chroma < GREY) return partedByValue(view, change, stays);
  const opposite = turn(stays.angle + 180);
  const angles = [opposite, turn(opposite - 30), turn(opposite + 30)];
  const pencils = pencilsAt(view, angles, neighboursOf(view, change.id));
  const lighter = stays.lab[0] < 55 ? 'lighter' : 'darker';
  return {
    sentence: kept(change)
      ? `Both keep their colours: part them by value, ${change.name} ${lighter} along that border.`
      : `${change.name} parts from ${stays.name} with ${placeOn(view.wheel, opposite).name}, or either side of it; ${codesOf(pencils)}. Or keep its hue and go clearly ${lighter}.`,
    angles,
    pencils: pencils.map(({ id }) => id),
  };
}

/** L* by which a thing is moved away from a grey neighbour. */
const MOVE = 22;

/** Beside a grey no hue is opposite: there, value parts. */
function partedByValue(view: View, change: SeenBorder['front'], stays: SeenBorder['front']) {
  const wanted = stays.lab[0] + (stays.lab[0] < 55 ? MOVE : -MOVE);
  const pencils = pencilsOfValue(view, wanted, change, neighboursOf(view, change.id));
  return {
    sentence: `${stays.name} is nearly grey, so part them by value: ${change.name} at about L* ${wanted.toFixed(0)}; ${codesOf(pencils)}.`,
    angles: [],
    pencils: pencils.map(({ id }) => id),
  };
}
