import { BANDS, type Lab, spectrumOfLab } from '../colour/index.ts';
import { bareGround, filmBetween } from './ground.ts';
import { type Lead, type PencilOptics } from './optics.ts';
import { filmConstants } from './kubelka-munk.ts';
import { type PassGeometry, type Relief, coveredAfter, passGeometry } from './pass.ts';
import { type Paper, whiteBook } from './papers/index.ts';
import { pencilTypeById } from './pencil-types/index.ts';
import { type Pressure, pressOf } from './pressure.ts';

/** What the layer model must be told of a pencil. */
export interface PencilDeclaration {
  /** Masstone: its full-strength colour on smooth white, in Lab. */
  masstone: Lab;
  /** Id of a pencil type. */
  type: string;
  /** 0 (translucent) to 1 (covering); the type's own when left out. */
  opacity?: number;
  /** How much it lays at a pass beside what its type does, above 0; default 1. */
  laydown?: number;
  /** How much tooth it uses beside what its type does, above 0; default 1. */
  fills?: number;
  /** How much it scatters beside what its opacity says, above 0; default 1. */
  scatter?: number;
  /** How much more it scatters short waves than long ones: the power of 560 nm over wavelength; default 0, all alike. */
  slope?: number;
  /** How far what it scatters takes its own colour: the power of its masstone beside the masstone's mean; default 0. */
  tinted?: number;
  /** How much harder it presses than a long pencil in the same hand, as a stub does, above 0; default 1. */
  presses?: number;
  /** Paper on which the masstone was laid, with the hand that laid it; default smooth white, as meant. */
  masstoneOn?: Paper;
}

/** The passes whose result on smooth white is called a pencil's masstone. */
export const MASSTONE_PASSES: readonly Pressure[] = ['firm', 'firm', 'burnish'];

/** Scattering at 560 nm of a pigment that is clear, and by how many powers of ten one that covers scatters more. */
const SCATTER = { least: 0.0125, decades: 1.3 };

/**
 * Finds the absorption that makes firm, firm and burnish on its paper give the declared masstone, band by band, by
 * bisection in log K. A masstone paler than the paper cannot be met and comes out as nearly clear.
 * @throws RangeError for an unknown type, an opacity outside 0..1, or a laydown or scatter that is not above 0.
 */
export function pencilOptics({
  masstone,
  type: typeId,
  opacity,
  laydown = 1,
  fills = 1,
  scatter = 1,
  slope = 0,
  tinted = 0,
  presses = 1,
  masstoneOn = whiteBook,
}: PencilDeclaration): PencilOptics {
  if (!(scatter > 0)) throw new RangeError(`Every pigment scatters; ${scatter} is not above 0.`);
  const { type } = leadOf({ type: typeId, laydown, fills, presses });
  const share = opacity ?? type.opacity;
  if (!(share >= 0 && share <= 1)) throw new RangeError(`Opacity runs from 0 to 1; ${share} does not.`);
  const target = spectrumOfLab(masstone);
  const mean = target.reduce((sum, value) => sum + value, 0) / BANDS;
  const s = scattering(scatter * SCATTER.least * 10 ** (SCATTER.decades * share), slope).map(
    (value, i) => value * (Math.max(0.01, target[i]!) / mean) ** tinted,
  );
  const paper = bareGround(masstoneOn);
  const passes: PassGeometry[] = [];
  let state: Relief = paper;
  for (const pressure of MASSTONE_PASSES) {
    const pass = passGeometry(state, type, pressOf(pressure, paper.hand));
    passes.push(pass);
    state = { ...state, ...pass };
  }
  const k = new Float64Array(BANDS);
  for (let i = 0; i < BANDS; i++) {
    const film = filmBetween(state.specks, paper.bare[i]!, target[i]!, paper.yuleNielsen);
    k[i] = absorptionFor(film, paper.bare[i]!, passes, s[i]!);
  }
  return { type, presses, k, s, ...filmConstants(k, s) };
}

/**
 * How a pencil fills the paper.
 * @throws RangeError for an unknown type, and for a laydown or a press that is not above 0
 */
export function leadOf({
  type,
  laydown = 1,
  fills = 1,
  presses = 1,
}: Pick<PencilDeclaration, 'type' | 'laydown' | 'fills' | 'presses'>): Lead {
  if (!(laydown > 0)) throw new RangeError(`A pencil lays more than nothing; ${laydown} is not above 0.`);
  if (!(presses > 0)) throw new RangeError(`A pencil presses somehow; ${presses} is not above 0.`);
  const kind = pencilTypeById(type);
  return { type: { ...kind, k: laydown * kind.k, tau: fills * kind.tau }, presses };
}

/** Scattering of 36 bands that is `at560` at 560 nm. */
function scattering(at560: number, slope: number): Float64Array {
  return Float64Array.from({ length: BANDS }, (_, i) => at560 * (560 / (380 + 10 * i)) ** slope);
}

/** Absorption that is looked for lies between these, in logarithms; it is found to within TOLERANCE of them. */
const LEAST = Math.log(1e-6);
const MOST = Math.log(20);
const TOLERANCE = 1e-9;

/**
 * The absorption at which the film of the masstone passes reflects `film` on bare paper, by regula falsi in log K: more
 * absorption always reflects less. Source: M. Dowell, P. Jarratt, A modified regula falsi method (1971), the Illinois rule.
 */
function absorptionFor(film: number, bare: number, passes: PassGeometry[], s: number): number {
  const over = (logK: number) => masstoneAt(Math.exp(logK), bare, passes, s) - film;
  let [low, high] = [LEAST, MOST];
  let [overLow, overHigh] = [over(low), over(high)];
  if (overLow <= 0) return Math.exp(low);
  if (overHigh >= 0) return Math.exp(high);
  let side = 0;
  while (high - low > TOLERANCE) {
    const logK = (low * overHigh - high * overLow) / (overHigh - overLow);
    const found = over(logK);
    if (Math.abs(found) < TOLERANCE) return Math.exp(logK);
    if (found > 0) {
      [low, overLow] = [logK, found];
      if (side === 1) overHigh /= 2;
      side = 1;
    } else {
      [high, overHigh] = [logK, found];
      if (side === -1) overLow /= 2;
      side = -1;
    }
  }
  return Math.exp((low + high) / 2);
}

/** What the film reflects at one wavelength after the masstone passes on bare paper. */
function masstoneAt(k: number, bare: number, passes: PassGeometry[], s: number): number {
  let specks = 1;
  let covered = bare;
  for (const pass of passes) {
    covered = coveredAfter({ specks, covered, bare }, pass, k, s);
    specks = pass.specks;
  }
  return covered;
}
