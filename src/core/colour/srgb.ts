import { type Lab, type Xyz, labOfXyz, xyzOfLab } from './lab.ts';

/** sRGB as shown on a screen: three values in 0..255. Source: IEC 61966-2-1. */
export type Rgb = readonly [red: number, green: number, blue: number];

const TO_LINEAR = [3.2404542, -1.5371385, -0.4985314, -0.969266, 1.8760108, 0.041556, 0.0556434, -0.2040259, 1.0572252];
const TO_XYZ = [0.4124564, 0.3575761, 0.1804375, 0.2126729, 0.7151522, 0.072175, 0.0193339, 0.119192, 0.9503041];

/** The screen colour of a Lab colour, each channel clipped to 0..255 and not rounded. */
export function rgbOfLab(lab: Lab): Rgb {
  return lightOfLab(lab).map(gammaEncode) as unknown as Rgb;
}

/** The light that a channel value 0..255 stands for, 0..1. Light adds up and averages; channel values do not. */
export function linearise(value: number): number {
  const c = value / 255;
  return c <= 0.04045 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4;
}

/** {@link linearise} for every whole channel value: what millions of pixels are looked up in. */
export const LINEAR_LIGHTS = Float64Array.from({ length: 256 }, (_, value) => linearise(value));

/** The channel value 0..255 that stands for a light of 0..1; the other way round from {@link linearise}. */
export function gammaEncode(light: number): number {
  return 255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);
}

/** Light in whole steps, as millions of pixels are mixed in: 0 none to LIGHT_STEPS all, fine enough for the darkest codes. */
export const LIGHT_STEPS = 8191;
/** The channel value nearest to each step of light. */
export const CODE_OF_LIGHT = Uint8Array.from({ length: LIGHT_STEPS + 1 }, (_, step) =>
  Math.round(gammaEncode(step / LIGHT_STEPS)),
);

/** The light of a Lab colour in each channel of a screen, 0..1; what a screen cannot show is clipped. */
export function lightOfLab(lab: Lab): Rgb {
  const xyz = xyzOfLab(lab);
  return [0, 1, 2].map((row) => Math.min(1, Math.max(0, dot(TO_LINEAR, row, xyz)))) as unknown as Rgb;
}

/** The Lab colour of a screen colour with channels 0..255. */
export function labOfRgb(rgb: Rgb): Lab {
  const linear = rgb.map(linearise) as unknown as Xyz;
  return labOfXyz([0, 1, 2].map((row) => dot(TO_XYZ, row, linear)) as unknown as Xyz);
}

/**
 * The Lab colour of `#rrggbb`.
 * @throws RangeError when the text is not a hash and six hexadecimal digits.
 */
export function labOfHex(hex: string): Lab {
  if (!/^#[0-9a-f]{6}$/i.test(hex)) throw new RangeError(`A colour is written as # and six digits; "${hex}" is not.`);
  const value = parseInt(hex.slice(1), 16);
  return labOfRgb([value >> 16, (value >> 8) & 255, value & 255]);
}

/** `#rrggbb` of a Lab colour, clipped to what a screen can show. */
export function hexOfLab(lab: Lab): string {
  return (
    '#' +
    rgbOfLab(lab)
      .map((v) => Math.round(v).toString(16).padStart(2, '0'))
      .join('')
  );
}

function dot(matrix: readonly number[], row: number, [x, y, z]: Xyz): number {
  return matrix[3 * row]! * x + matrix[3 * row + 1]! * y + matrix[3 * row + 2]! * z;
}
