import { type Lab, labOfSpectrum } from '../colour/index.ts';
import { type Ground, seen } from './ground.ts';
import { groundAfter, passGeometry } from './pass.ts';
import { type PencilOptics } from './pencil-optics.ts';
import { type Hand, type Pressure, pressOf } from './pressure.ts';

/** One going-over with one pencil at one pressure. */
export interface Pass {
  pencil: PencilOptics;
  /** By name, or as a share of the hardest press (0..1) where a zone fades out. */
  pressure: Pressure | number;
}

/** What a point of the page looks like, and what it still takes. */
export interface Laid {
  /** The colour the eye sees, specks and all. */
  lab: Lab;
  /** Share of bare paper showing through, 0..1. */
  specks: number;
  /** Share of the tooth still empty, 0..1. */
  toothLeft: number;
}

/**
 * Lays passes on a ground in order and says what comes out.
 * @param ground where it starts; it is not changed
 * @param passes in the order in which they are laid
 * @param hand how hard this person presses, 1 for each pressure by default
 * @returns the end result, what stood after each pass, and the ground to go on from
 */
export function layPasses(
  ground: Ground,
  passes: readonly Pass[],
  hand: Hand = {},
): Laid & { after: Laid[]; ground: Ground } {
  let now = ground;
  const after: Laid[] = [];
  for (const { pencil, pressure } of passes) {
    now = groundAfter(now, passGeometry(now, pencil.type, pressOf(pressure, hand)), pencil.k, pencil.s);
    after.push(describe(now));
  }
  return { ...(after.at(-1) ?? describe(now)), after, ground: now };
}

function describe(ground: Ground): Laid {
  return { lab: labOfSpectrum(seen(ground)), specks: ground.specks, toothLeft: 1 - ground.filled };
}
