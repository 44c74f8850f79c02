import { BANDS, type Spectrum } from '../../colour/index.ts';
import { type Deposit, type Ground } from '../ground.ts';
import { type Relief } from '../pass.ts';

/** Scattering of a white pigment in a thick coat, per unit of film thickness, and how thick a coat lies. */
const SCATTERS = 0.4;
const THICK = 12;

/**
 * The ground under a coat that hides what lies below it.
 * @param colour of the coat, 36 bands
 * @param covers share of the area that it hides, 0..1
 * @param fills share of the tooth still empty that it fills, 0..1
 */
export function coated(ground: Ground, colour: Spectrum, covers: number, fills: number): Ground {
  const { specks, filled, mass } = coatedRelief(ground, covers, fills);
  const covered = ground.covered.map((value, i) => {
    const below = (1 - ground.specks) * (1 - covers) * Math.sqrt(value);
    return ((below + covers * Math.sqrt(colour[i]!)) / (1 - specks)) ** 2;
  });
  return { ...ground, covered, specks, filled, mass, deposits: [...ground.deposits, coat(colour, covers * THICK)] };
}

/** The same without its colour. */
export function coatedRelief<T extends Pick<Relief, 'specks' | 'filled' | 'mass'>>(
  relief: T,
  covers: number,
  fills: number,
): T {
  return {
    ...relief,
    specks: relief.specks * (1 - covers),
    filled: relief.filled + fills * (1 - relief.filled),
    mass: relief.mass + covers * THICK,
  };
}

/** A coat as a deposit: K / S = (1 - R)^2 / 2R of its colour (P. Kubelka, F. Munk, 1931). */
function coat(colour: Spectrum, mass: number): Deposit {
  const k = colour.map((value) => {
    const r = Math.min(0.99, Math.max(0.01, value));
    return (SCATTERS * (1 - r) ** 2) / (2 * r);
  });
  return { k, s: new Float64Array(BANDS).fill(SCATTERS), mass, loose: 0, soluble: 0 };
}
