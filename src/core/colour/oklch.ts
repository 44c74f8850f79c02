import { type Lab, type Xyz, labOfXyz, xyzOfLab } from './lab.ts';

/** OKLCH: lightness 0..1, chroma 0..about 0.37, hue in degrees 0..360. Source: B. Ottosson, A perceptual color space for image processing (2020). */
export interface Oklch {
  l: number;
  c: number;
  /** Degrees, 0..360. Meaningless where chroma is near 0. */
  h: number;
}

/** OKLCH of a Lab colour. */
export function oklchOfLab(lab: Lab): Oklch {
  const [x, y, z] = xyzOfLab(lab);
  const l = Math.cbrt(0.8189330101 * x + 0.3618667424 * y - 0.1288597137 * z);
  const m = Math.cbrt(0.0329845436 * x + 0.9293118715 * y + 0.0361456387 * z);
  const s = Math.cbrt(0.0482003018 * x + 0.2643662691 * y + 0.633851707 * z);
  const lightness = 0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s;
  const a = 1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s;
  const b = 0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s;
  return { l: lightness, c: Math.hypot(a, b), h: turn((Math.atan2(b, a) * 180) / Math.PI) };
}

/** Lab of an OKLCH colour; the inverse of {@link oklchOfLab}. */
export function labOfOklch({ l, c, h }: Oklch): Lab {
  const a = c * Math.cos((h * Math.PI) / 180);
  const b = c * Math.sin((h * Math.PI) / 180);
  const long = (l + 0.3963377774 * a + 0.2158037573 * b) ** 3;
  const middle = (l - 0.1055613458 * a - 0.0638541728 * b) ** 3;
  const short = (l - 0.0894841775 * a - 1.291485548 * b) ** 3;
  const xyz: Xyz = [
    1.2270138511 * long - 0.5577999807 * middle + 0.281256149 * short,
    -0.0405801784 * long + 1.1122568696 * middle - 0.0716766787 * short,
    -0.0763812845 * long - 0.4214819784 * middle + 1.5861632204 * short,
  ];
  return labOfXyz(xyz);
}

/** An angle brought into 0..360 degrees. */
export function turn(degrees: number): number {
  return ((degrees % 360) + 360) % 360;
}

/** The signed shortest way from one angle to another, -180..180 degrees. */
export function turnBetween(from: number, to: number): number {
  return turn(to - from + 180) - 180;
}
