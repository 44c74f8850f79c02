import { groundAfterPasses } from '../../laydown/index.ts';
import { passesOf } from '../../recipe/index.ts';
import { type MistakeKind } from './mistake-kind.ts';
import { allLaid, strayOver } from './stray.ts';

/** How much of a layer's pressure arrives where it is patchy. An assumption. */
const PATCHY = 0.45;

/** The last layer with gaps in it. */
export const patchy: MistakeKind = {
  id: 'patchy',
  inASpot: false,
  strays: false,
  lifts: false,
  isSeen: true,
  looks: 'patchy',
  happen(place) {
    const last = place.layers.at(-1);
    if (!last) return strayOver(place, 'light');
    const before = allLaid({ ...place, layers: place.layers.slice(0, -1) });
    return { before, now: groundAfterPasses(before, passesOf(last, place.optics, PATCHY)) };
  },
};
