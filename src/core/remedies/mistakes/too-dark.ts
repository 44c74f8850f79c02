import { type MistakeKind } from './mistake-kind.ts';
import { allLaid, strayOver } from './stray.ts';

/** How much of a layer's pressure arrives where it is laid too hard. An assumption. */
const TOO_MUCH = 1.5;

/** Everything at a place laid too hard. */
export const tooDark: MistakeKind = {
  id: 'too dark',
  inASpot: false,
  strays: false,
  lifts: true,
  isSeen: true,
  looks: 'darker',
  happen(place) {
    if (place.layers.length === 0) return strayOver(place, 'light');
    return { before: place.ground, now: allLaid(place, TOO_MUCH) };
  },
};
