import { LuDecomposition, Matrix } from 'ml-matrix';
import { BANDS } from './observer.ts';
import { type Lab, type Spectrum, labOfSpectrum } from './lab.ts';

/** Paint never reflects nothing or everything: declared colours are kept within these before a spectrum is sought. */
const LIMITS = { darkest: 2, palest: 98.5 };
const STEPS = 60;
const GOOD_ENOUGH = 1e-5;

/**
 * A smooth reflectance of 36 bands whose colour by daylight is `lab`, as a squashed parabola
 * u = (i - 17.5) / 17.5, x = c0 u^2 + c1 u + c2, R = 1/2 + x / (2 sqrt(1 + x^2)), fitted by damped Gauss-Newton.
 * A colour outside what a reflectance can show comes back as the nearest one found.
 * Source: W. Jakob, J. Hanika, A low-dimensional function space for efficient spectral upsampling (2019).
 */
export function spectrumOfLab(lab: Lab): Spectrum {
  const target: Lab = [Math.min(LIMITS.palest, Math.max(LIMITS.darkest, lab[0])), lab[1], lab[2]];
  const grey = greyCoefficient(target[0]);
  let c: Coefficients = [0, 0, grey];
  let error = miss(c, target);
  let damping = 0.01;
  for (let step = 0; step < STEPS && squared(error) > GOOD_ENOUGH; step++) {
    const next = dampedStep(c, error, target, damping);
    const nextError = miss(next, target);
    if (squared(nextError) < squared(error)) {
      c = next;
      error = nextError;
      damping = Math.max(1e-9, damping / 4);
    } else {
      damping *= 6;
      if (damping > 1e8) break;
    }
  }
  return sigmoidSpectrum(c);
}

type Coefficients = [number, number, number];

function sigmoidSpectrum([c0, c1, c2]: Coefficients): Spectrum {
  const out = new Float64Array(BANDS);
  for (let i = 0; i < BANDS; i++) {
    const u = (i - 17.5) / 17.5;
    const x = c0 * u * u + c1 * u + c2;
    out[i] = 0.5 + x / (2 * Math.sqrt(1 + x * x));
  }
  return out;
}

/** The constant term whose flat reflectance has this lightness. */
function greyCoefficient(lightness: number): number {
  const f = (lightness + 16) / 116;
  const y = Math.min(0.99, Math.max(0.003, lightness > 8 ? f ** 3 : lightness / 903.3));
  const s = 2 * y - 1;
  return s / Math.sqrt(1 - s * s);
}

function miss(c: Coefficients, target: Lab): Lab {
  const [l, a, b] = labOfSpectrum(sigmoidSpectrum(c));
  return [l - target[0], a - target[1], b - target[2]];
}

function squared([l, a, b]: Lab): number {
  return l * l + a * a + b * b;
}

/** One damped step (Levenberg-Marquardt): solves (J'J + damping diag) d = J'e, with J by forward differences. */
function dampedStep(c: Coefficients, error: Lab, target: Lab, damping: number): Coefficients {
  const h = 1e-5;
  const columns = [0, 1, 2].map((k) => {
    const moved: Coefficients = [...c];
    moved[k]! += h;
    const e = miss(moved, target);
    return [(e[0] - error[0]) / h, (e[1] - error[1]) / h, (e[2] - error[2]) / h];
  });
  const transposed = new Matrix(columns);
  const normal = transposed.mmul(transposed.transpose());
  for (let k = 0; k < 3; k++) normal.set(k, k, (1 + damping) * normal.get(k, k) + damping * LEAST_DIAGONAL);
  const decomposed = new LuDecomposition(normal);
  if (decomposed.isSingular()) return c;
  const step = decomposed.solve(transposed.mmul(Matrix.columnVector([...error])));
  return [c[0] - step.get(0, 0), c[1] - step.get(1, 0), c[2] - step.get(2, 0)];
}

/** Keeps the damping from vanishing where a coefficient has no effect. */
const LEAST_DIAGONAL = 1e-9;
