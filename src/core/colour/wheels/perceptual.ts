import { turn } from '../oklch.ts';
import { WHEEL_PLACES } from './painters.ts';
import { type ColourWheel } from './wheel.ts';

/** OKLCH hue of yellow, at the top of both wheels. */
const YELLOW = WHEEL_PLACES[0]!.hue;
/** The mirror that turns hue into angle and angle into hue. */
const mirror = (degrees: number) => turn(YELLOW - degrees);

/** The evenly spaced wheel: equal turns are equal turns of OKLCH hue, so opposites are opposite to the eye. */
export const perceptual: ColourWheel = {
  id: 'perceptual',
  name: 'evenly spaced',
  says: 'Equal turns look like equal steps of hue; opposites calm each other to grey on a screen.',
  costs: 'Red and yellow lie close together, as they do to the eye; most craft advice speaks of the other wheel.',
  places: WHEEL_PLACES.map(({ name, hue }) => ({ name, hue, angle: mirror(hue) })),
  hueOf: mirror,
  angleOf: mirror,
};
