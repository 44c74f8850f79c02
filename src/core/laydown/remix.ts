import { BANDS, type Spectrum } from '../colour/index.ts';
import { type Deposit, type Ground } from './ground.ts';
import { filmOver } from './kubelka-munk.ts';

/** What a tool makes of the deposits when it stirs them into one film. */
export interface Remix {
  /** Specks that are left, 0..1, no more than before. */
  specks: number;
  /** Share of the deposits that is set free and spreads, 0..1; the rest stays layered where it was. */
  share: number;
  /** How many times as strongly the stirred film absorbs and scatters; 1 each by default. */
  absorbs?: number;
  scatters?: number;
}

/**
 * Stirs a share of the deposits and spreads it evenly over all that is covered afterwards, as solvent, water or a
 * blender do. Mass and tooth stay: what fills specks is missing where it came from. K and S of the stirred film are
 * summed up by mass (D. Duncan, The colour of pigment mixtures, 1940). What lay there before anything was recorded
 * cannot be stirred, since nobody knows what it is.
 */
export function remixed(ground: Ground, { specks, share, absorbs = 1, scatters = 1 }: Remix): Ground {
  const known = massOf(ground.deposits);
  const free = known > 0 ? share * Math.min(1, known / ground.mass) : 0;
  if (free <= 0) return ground;
  const before = 1 - ground.specks;
  const after = 1 - specks;
  const spread = (free * known) / after;
  const thick = ((1 - free) * known) / before + spread;
  const strength = { absorbs, scatters };
  const wherePigmentWas = evenFilm(ground.deposits, ground.bare, thick, strength);
  const whereItRan = evenFilm(ground.deposits, ground.bare, spread, strength);
  const covered = ground.covered.map((value, i) => {
    const stayed = (1 - free) * Math.sqrt(value) + free * Math.sqrt(wherePigmentWas[i]!);
    return ((before * stayed + (after - before) * Math.sqrt(whereItRan[i]!)) / after) ** 2;
  });
  return { ...ground, covered, specks };
}

/** Mass of deposits together, in units of the layer model. */
export function massOf(deposits: readonly Deposit[]): number {
  return deposits.reduce((sum, { mass }) => sum + mass, 0);
}

/**
 * Reflectance of a film in which deposits are evenly stirred, 36 bands.
 * @param deposits at least one with mass
 * @param bare reflectance of the paper below, 36 bands
 * @param thickness mass per covered area
 */
export function evenFilm(
  deposits: readonly Deposit[],
  bare: Spectrum,
  thickness: number,
  { absorbs = 1, scatters = 1 } = {},
): Spectrum {
  const mass = massOf(deposits);
  const film = new Float64Array(BANDS);
  for (let i = 0; i < BANDS; i++) {
    let [k, s] = [0, 0];
    for (const deposit of deposits) {
      k += (deposit.mass / mass) * deposit.k[i]!;
      s += (deposit.mass / mass) * deposit.s[i]!;
    }
    film[i] = filmOver(absorbs * k, scatters * s, thickness, bare[i]!);
  }
  return film;
}
