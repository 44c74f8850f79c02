import { type Pass, groundAfterPasses } from '../../laydown/index.ts';
import { type MistakeKind } from './mistake-kind.ts';
import { allLaid, strayOver } from './stray.ts';

/** Another pencil than was meant, laid as firmly as the right one. */
export const wrongPencil: MistakeKind = {
  id: 'wrong pencil',
  inASpot: false,
  strays: true,
  lifts: true,
  isSeen: false,
  happen(place) {
    const last = place.layers.at(-1);
    if (!last) return strayOver(place, 'light');
    const before = allLaid({ ...place, layers: place.layers.slice(0, -1) });
    const laid: Pass = { pencil: place.own, pressure: last.pressure };
    return { before, now: groundAfterPasses(before, new Array<Pass>(last.passes).fill(laid)) };
  },
};
