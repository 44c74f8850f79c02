import { type Ground, type Pressure, groundAfterPasses } from '../../laydown/index.ts';
import { passesOf } from '../../recipe/index.ts';
import { type WorkedPlace } from './mistake-kind.ts';

/** What lies at a place once all its layers are laid. */
export function allLaid({ ground, layers, optics }: WorkedPlace, share = 1): Ground {
  return groundAfterPasses(
    ground,
    layers.flatMap((layer) => passesOf(layer, optics, share)),
  );
}

/** A pencil that comes where it does not belong, over all that lies there. */
export function strayOver(place: WorkedPlace, pressure: Pressure): { before: Ground; now: Ground } {
  const before = allLaid(place);
  return { before, now: groundAfterPasses(before, [{ pencil: place.own, pressure }]) };
}
