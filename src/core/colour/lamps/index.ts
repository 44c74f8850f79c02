/** lamps: lights that pages are seen by in the evening, one file a lamp; to add one, write its file and list it here. */
import { type Lab, type Spectrum, labOfXyz } from '../lab.ts';
import { BANDS, MATCHING, WHITE } from '../observer.ts';
import { incandescent } from './incandescent.ts';
import { type Lamp } from './lamp.ts';
import { neutralLed } from './neutral-led.ts';
import { warmLed } from './warm-led.ts';

export { type Lamp } from './lamp.ts';

/** Every lamp but daylight. */
export const LAMPS: readonly Lamp[] = [incandescent, warmLed, neutralLed];
/** How far a colour told under a lamp may be off, CIEDE2000, for nine colours of ten: spectra are guessed from colours. */
export const LAMP_DOUBT = 4;

/**
 * The lamp with this id.
 * @throws RangeError when there is none
 */
export function lampById(id: string): Lamp {
  const lamp = LAMPS.find((each) => each.id === id);
  if (!lamp) throw new RangeError(`There is no lamp called "${id}".`);
  return lamp;
}

/** From X, Y, Z to cone responses. Source: K. Lam, Metamerism and colour constancy (1985), the Bradford matrix. */
const CONES = [
  [0.8951, 0.2664, -0.1614],
  [-0.7502, 1.7135, 0.0367],
  [0.0389, -0.0685, 1.0296],
];
const FROM_CONES = [
  [0.9869929, -0.1470543, 0.1599627],
  [0.4323053, 0.5183603, 0.0492912],
  [-0.0085287, 0.0400428, 0.9684867],
];

const weights = new WeakMap<Lamp, { rows: Float64Array[]; adapts: number[] }>();

/** What turns a reflectance into X, Y, Z under a lamp, with Y = 1 for a perfect white, and how each cone adapts to it. */
function weightsOf(lamp: Lamp) {
  let known = weights.get(lamp);
  if (!known) {
    let total = 0;
    for (let i = 0; i < BANDS; i++) total += lamp.power[i]! * MATCHING[3 * i + 1]!;
    const rows = [0, 1, 2].map((c) =>
      Float64Array.from({ length: BANDS }, (_, i) => (lamp.power[i]! * MATCHING[3 * i + c]!) / total),
    );
    const white = rows.map((row) => row.reduce((sum, value) => sum + value, 0));
    const [own, day] = [times(CONES, white), times(CONES, WHITE)];
    known = { rows, adapts: day.map((value, k) => value / own[k]!) };
    weights.set(lamp, known);
  }
  return known;
}

/**
 * Lab of a reflectance seen under a lamp by eyes that are used to it: as the colour that would look so by daylight.
 * @param reflectance 36 bands
 */
export function labUnder(reflectance: Spectrum, lamp: Lamp): Lab {
  const { rows, adapts } = weightsOf(lamp);
  const xyz = rows.map((row) => row.reduce((sum, value, i) => sum + value * reflectance[i]!, 0));
  const cones = times(CONES, xyz).map((value, k) => value * adapts[k]!);
  const [x, y, z] = times(FROM_CONES, cones) as [number, number, number];
  return labOfXyz([x, y, z]);
}

function times(matrix: readonly (readonly number[])[], vector: readonly number[]): number[] {
  return matrix.map((row) => row.reduce((sum, value, i) => sum + value * vector[i]!, 0));
}
