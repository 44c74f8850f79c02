import { BANDS, type Lab, spectrumOfLab } from '../colour/index.ts';
import { bareGround } from './ground.ts';
import { type PassGeometry, coveredAfter, passGeometry } from './pass.ts';
import { type Paper, whiteBook } from './papers/index.ts';
import { type PencilType, pencilTypeById } from './pencil-types/index.ts';
import { PRESS, type Pressure } from './pressure.ts';

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
  /** Paper on which the masstone was read; default smooth white. */
  masstoneOn?: Paper;
}

/** A pencil as the layer model uses it. */
export interface PencilOptics {
  type: PencilType;
  /** Absorption per unit of film thickness, 36 bands. */
  k: Float64Array;
  /** Scattering per unit of film thickness, flat over wavelength. */
  s: number;
}

/** The passes whose result on smooth white is called a pencil's masstone. */
export const MASSTONE_PASSES: readonly Pressure[] = ['firm', 'firm', 'burnish'];

/**
 * Finds the absorption that makes firm, firm and burnish on its paper give the declared masstone, band by band, by
 * bisection in log K. A masstone paler than the paper cannot be met and comes out as nearly clear.
 * @throws RangeError for an unknown type, an opacity outside 0..1 or a laydown that is not above 0.
 */
export function pencilOptics({
  masstone,
  type: typeId,
  opacity,
  laydown = 1,
  masstoneOn = whiteBook,
}: PencilDeclaration): PencilOptics {
  if (!(laydown > 0)) throw new RangeError(`A pencil lays more than nothing; ${laydown} is not above 0.`);
  const kind = pencilTypeById(typeId);
  const type = { ...kind, k: laydown * kind.k };
  const share = opacity ?? type.opacity;
  if (!(share >= 0 && share <= 1)) throw new RangeError(`Opacity runs from 0 to 1; ${share} does not.`);
  const s = 0.0125 * 10 ** share;
  const paper = bareGround(masstoneOn);
  const passes: PassGeometry[] = [];
  let state: Pick<typeof paper, 'rough' | 'tooth' | 'specks' | 'filled' | 'mass'> = paper;
  for (const pressure of MASSTONE_PASSES) {
    const pass = passGeometry(state, type, PRESS[pressure]);
    passes.push(pass);
    state = { ...state, ...pass };
  }
  const target = spectrumOfLab(masstone);
  const k = new Float64Array(BANDS);
  for (let i = 0; i < BANDS; i++) k[i] = absorptionFor(target[i], paper.bare[i], passes, s);
  return { type, k, s };
}

function absorptionFor(target: number, bare: number, passes: PassGeometry[], s: number): number {
  let low = Math.log(1e-6);
  let high = Math.log(20);
  for (let step = 0; step < 44; step++) {
    const middle = (low + high) / 2;
    if (masstoneAt(Math.exp(middle), bare, passes, s) > target) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}

/** What is seen at one wavelength after the masstone passes on bare paper. */
function masstoneAt(k: number, bare: number, passes: PassGeometry[], s: number): number {
  let specks = 1;
  let covered = bare;
  for (const pass of passes) {
    covered = coveredAfter({ specks, covered, bare }, pass, k, s);
    specks = pass.specks;
  }
  return (specks * Math.sqrt(bare) + (1 - specks) * Math.sqrt(covered)) ** 2;
}
