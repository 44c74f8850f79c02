import { BANDS, WEIGHTS, WHITE } from './observer.ts';

/** CIE L*, a*, b* under D65, 2 degrees: L* 0..100, a* and b* unbounded (about -120..120 for paint). */
export type Lab = readonly [lightness: number, a: number, b: number];
/** CIE X, Y, Z with Y = 1 for a perfect white. */
export type Xyz = readonly [x: number, y: number, z: number];
/** Reflectance, one value in 0..1 for each of 36 bands (380 to 730 nm by 10). */
export type Spectrum = Float64Array;

const EPSILON = 216 / 24389;
const KAPPA = 24389 / 27;

/** X, Y, Z of a reflectance of 36 bands seen by daylight. */
function xyzOfSpectrum(reflectance: Spectrum): Xyz {
  let x = 0;
  let y = 0;
  let z = 0;
  for (let i = 0; i < BANDS; i++) {
    const r = reflectance[i]!;
    x += WEIGHTS[0][i]! * r;
    y += WEIGHTS[1][i]! * r;
    z += WEIGHTS[2][i]! * r;
  }
  return [x, y, z];
}

/** Lab of X, Y, Z. Source: CIE 15, 8.2.1. */
export function labOfXyz([x, y, z]: Xyz): Lab {
  const fx = lift(x / WHITE[0]);
  const fy = lift(y / WHITE[1]);
  const fz = lift(z / WHITE[2]);
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

/** X, Y, Z of Lab; the inverse of {@link labOfXyz}. */
export function xyzOfLab([lightness, a, b]: Lab): Xyz {
  const fy = (lightness + 16) / 116;
  const fx = fy + a / 500;
  const fz = fy - b / 200;
  return [WHITE[0] * drop(fx), WHITE[1] * drop(fy), WHITE[2] * drop(fz)];
}

/** Lab of a reflectance of 36 bands seen by daylight. */
export function labOfSpectrum(reflectance: Spectrum): Lab {
  return labOfXyz(xyzOfSpectrum(reflectance));
}

function lift(t: number): number {
  return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
}

function drop(f: number): number {
  const cube = f * f * f;
  return cube > EPSILON ? cube : (116 * f - 16) / KAPPA;
}
