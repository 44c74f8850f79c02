import { type Ground, type PencilOptics, groundAfterPasses } from '../laydown/index.ts';
import type { Layer } from './schemas.ts';
import { passesOf } from './passes.ts';

/** What comes about where a stack of layers is laid at many places at once. */
export interface LaidPlaces {
  /** Every ground that comes about anywhere, the bare one first. */
  grounds: Ground[];
  /** Which of the grounds lies at each place: before any layer, after the first, and so on. */
  states: Uint32Array[];
}

/**
 * Lays a stack of layers at many places. Places where the same was laid so far are worked out once.
 * @param layers in the order in which they are laid
 * @param places how many
 * @param shares how much of its pressure each layer has at each place, as whole numbers of `whole`; nothing is laid at 0
 * @param optics the pencils by id
 * @throws RangeError when a pencil has no optics, or a pencil or dry tool would go over wet paper
 */
export function layAtPlaces(
  layers: readonly Layer[],
  places: number,
  shares: readonly Uint16Array[],
  whole: number,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
): LaidPlaces {
  const grounds = [ground];
  const states = [new Uint32Array(places)];
  const known = new Map<number, number>();
  for (const [i, layer] of layers.entries()) {
    known.clear();
    const own = shares[i]!;
    const before = states[i]!;
    const now = before.slice();
    for (let place = 0; place < places; place++) {
      if (own[place] === 0) continue;
      const key = before[place]! * (whole + 1) + own[place]!;
      let next = known.get(key);
      if (next === undefined) {
        const passes = passesOf(layer, optics, own[place]! / whole);
        next = grounds.push(groundAfterPasses(grounds[before[place]!]!, passes)) - 1;
        known.set(key, next);
      }
      now[place] = next;
    }
    states.push(now);
  }
  return { grounds, states };
}
