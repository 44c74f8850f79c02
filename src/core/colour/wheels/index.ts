/** wheels: one file a wheel; to add one, write its file and list it here. */
import { turnBetween } from '../oklch.ts';
import { painters } from './painters.ts';
import { perceptual } from './perceptual.ts';
import { type ColourWheel, type WheelPlace } from './wheel.ts';

export { WHEEL_PLACES, hueOfWheel, isWarm, placeAt, wheelOfHue } from './painters.ts';
export { type Ring, RINGS, ringOf } from './rings.ts';
export { type ColourWheel, type WheelPlace } from './wheel.ts';

/** Every wheel, the default first. */
export const WHEELS: readonly ColourWheel[] = [painters, perceptual];

/**
 * The wheel with this id.
 * @throws RangeError when there is none.
 */
export function wheelById(id: string): ColourWheel {
  const wheel = WHEELS.find((each) => each.id === id);
  if (!wheel) throw new RangeError(`There is no wheel called "${id}".`);
  return wheel;
}

/** The named place of a wheel nearest to an angle. */
export function placeOn(wheel: ColourWheel, angle: number): WheelPlace {
  const off = (place: WheelPlace) => Math.abs(turnBetween(place.angle, angle));
  return wheel.places.reduce((best, place) => (off(place) < off(best) ? place : best));
}
