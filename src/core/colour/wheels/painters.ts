import { turn } from '../oklch.ts';
import { type ColourWheel, type WheelPlace } from './wheel.ts';

/**
 * The painter's wheel: red, yellow and blue a third of a turn apart, twelve named places 30 degrees apart, running
 * yellow at 0 (top) through orange, red, violet, blue and green. Each place is tied to the OKLCH hue of the paint
 * that painters mean by the name; between places a periodic monotone cubic (F. Fritsch, R. Carlson, Monotone
 * piecewise cubic interpolation, 1980) keeps the way from wheel to hue smooth and free of turning back, so that it
 * can be inverted.
 */
const NAMES_AND_HUES: [string, number][] = [
  ['yellow', 104],
  ['yellow-orange', 80],
  ['orange', 59],
  ['red-orange', 41],
  ['red', 25],
  ['red-violet', 352],
  ['violet', 312],
  ['blue-violet', 287],
  ['blue', 257],
  ['blue-green', 196],
  ['green', 150],
  ['yellow-green', 124],
];

/** The twelve places of the painter's wheel in order. */
export const WHEEL_PLACES: readonly WheelPlace[] = NAMES_AND_HUES.map(([name, hue], i) => ({
  name,
  angle: 30 * i,
  hue,
}));

/** How far the perceptual hue falls from one place to the next, all positive, 360 in sum. */
const FALLS = WHEEL_PLACES.map((place, i) => turn(place.hue - WHEEL_PLACES[(i + 1) % 12]!.hue));
const SLOPES = FALLS.map((fall, i) => {
  const before = FALLS[(i + 11) % 12]!;
  return (2 * before * fall) / (before + fall);
});

/** OKLCH hue in degrees at an angle of the painter's wheel. */
export function hueOfWheel(angle: number): number {
  const at = turn(angle) / 30;
  const i = Math.floor(at) % 12;
  return turn(WHEEL_PLACES[i]!.hue - fallWithin(i, at - Math.floor(at)));
}

/** Angle on the painter's wheel of an OKLCH hue in degrees; the inverse of {@link hueOfWheel}. */
export function wheelOfHue(hue: number): number {
  for (let i = 0; i < 12; i++) {
    const into = turn(WHEEL_PLACES[i]!.hue - hue);
    if (into > FALLS[i]!) continue;
    let low = 0;
    let high = 1;
    for (let step = 0; step < 40; step++) {
      const middle = (low + high) / 2;
      if (fallWithin(i, middle) < into) low = middle;
      else high = middle;
    }
    return turn(30 * (i + (low + high) / 2));
  }
  return turn(WHEEL_PLACES[0]!.angle);
}

/** The place of the painter's wheel nearest to an angle. */
export function placeAt(angle: number): WheelPlace {
  return WHEEL_PLACES[Math.round(turn(angle) / 30) % 12]!;
}

/** Whether an angle lies on the warm half of the wheel: yellow through red to red-violet. */
export function isWarm(angle: number): boolean {
  const t = turn(angle);
  return t < 165 || t >= 345;
}

/** The wheel of most craft advice. */
export const painters: ColourWheel = {
  id: 'painters',
  name: 'painter’s',
  says: 'Red, yellow and blue a third apart, as paint mixes: orange faces blue, red faces green.',
  costs: 'Opposites here are opposites by custom; some are not quite so to the eye.',
  places: WHEEL_PLACES,
  hueOf: hueOfWheel,
  angleOf: wheelOfHue,
};

/** Cubic Hermite within one twelfth; `t` 0..1. */
function fallWithin(i: number, t: number): number {
  const d = FALLS[i]!;
  const m0 = SLOPES[i]!;
  const m1 = SLOPES[(i + 1) % 12]!;
  return t * t * (3 - 2 * t) * d + t * (1 - t) * (1 - t) * m0 + t * t * (t - 1) * m1;
}
