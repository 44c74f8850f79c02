import { type Lab, deltaE2000 } from '../../colour/index.ts';
import { type Ground, type PencilOptics, type Pressure, layPasses } from '../../laydown/index.ts';

/** A pencil at a pressure: what one band of a passage is laid with. */
export interface Band {
  optics: PencilOptics;
  pressure: Pressure;
}

/** What happens where two bands share paper. */
export interface Overlap {
  /** CIEDE2000 from one band to the other. */
  step: number;
  /** Lab chroma by which the shared strip falls below the duller of the two: mud. */
  dip: number;
  /** L* by which it falls below the darker of the two. */
  darkening: number;
  /** CIEDE2000 by which the shared strip moves when either band is gone over once more than the other. */
  uneven: number;
}

/** The colour of a band by itself: gone over twice. */
export function labOfBand(ground: Ground, { optics, pressure }: Band): Lab {
  const pass = { pencil: optics, pressure };
  return layPasses(ground, [pass, pass]).lab;
}

/**
 * Lays two bands over each other in the layer model, the first one first.
 * @param labs the colours of both by themselves, from {@link labOfBand}
 */
export function overlapOf(ground: Ground, first: Band, second: Band, labs: readonly [Lab, Lab]): Overlap {
  const passOf = ({ optics, pressure }: Band) => ({ pencil: optics, pressure });
  const [a, b] = [passOf(first), passOf(second)];
  const shared = layPasses(ground, [a, b]).lab;
  const [moreOfFirst, moreOfSecond] = [layPasses(ground, [a, a, b]).lab, layPasses(ground, [a, b, b]).lab];
  const chroma = (lab: Lab) => Math.hypot(lab[1], lab[2]);
  return {
    step: deltaE2000(labs[0], labs[1]),
    dip: Math.max(0, Math.min(...labs.map(chroma)) - chroma(shared)),
    darkening: Math.max(0, Math.min(labs[0][0], labs[1][0]) - shared[0]),
    uneven: deltaE2000(moreOfFirst, moreOfSecond),
  };
}

/**
 * How hard a passage over an overlap is, in squared CIEDE2000: the step itself, mud and darkening, and what an uneven
 * hand makes of it, counted less since a hand that knows can even it out.
 */
export function costOfOverlap({ step, dip, darkening, uneven }: Overlap): number {
  return step ** 2 + (dip + darkening) ** 2 + (UNEVEN_SHARE * uneven) ** 2;
}

const UNEVEN_SHARE = 0.5;
