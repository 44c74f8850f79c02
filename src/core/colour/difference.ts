import { type Lab } from './lab.ts';

const POW25_7 = 25 ** 7;
const RADIANS = Math.PI / 180;
const [COS30, SIN30] = [Math.cos(30 * RADIANS), Math.sin(30 * RADIANS)];
const [COS6, SIN6] = [Math.cos(6 * RADIANS), Math.sin(6 * RADIANS)];
const [COS63, SIN63] = [Math.cos(63 * RADIANS), Math.sin(63 * RADIANS)];
const [COS275, SIN275] = [Math.cos(275 * RADIANS), Math.sin(275 * RADIANS)];

/**
 * Colour difference CIEDE2000 between two Lab colours, with all weights 1. About 1 is just seen side by side.
 * Source: G. Sharma, W. Wu, E. Dalal, The CIEDE2000 color-difference formula: implementation notes (2005). The mean hue
 * is taken as the direction halfway between both, so that its cosines need no angle.
 */
export function deltaE2000(first: Lab, second: Lab): number {
  return difference(first[0], first[1], first[2], second[0], second[1], second[2]);
}

/**
 * The same from one colour to many.
 * @param labs L*, a*, b* of each in turn
 * @param out where the differences are written; one for each colour
 * @throws RangeError when `labs` does not hold three numbers for each of `out`
 */
export function deltasE2000(from: Lab, labs: Float64Array, out: Float64Array = new Float64Array(labs.length / 3)) {
  if (labs.length !== 3 * out.length) throw new RangeError('Each colour needs its L*, a* and b*.');
  const [l, a, b] = from;
  for (let i = 0, k = 0; i < out.length; i++, k += 3)
    out[i] = difference(l, a, b, labs[k]!, labs[k + 1]!, labs[k + 2]!);
  return out;
}

function difference(l1: number, a1: number, b1: number, l2: number, a2: number, b2: number): number {
  const raw = (Math.sqrt(a1 * a1 + b1 * b1) + Math.sqrt(a2 * a2 + b2 * b2)) / 2;
  const raw7 = seventh(raw);
  const stretch = 1.5 - 0.5 * Math.sqrt(raw7 / (raw7 + POW25_7));
  const [p1, p2] = [stretch * a1, stretch * a2];
  const c1 = Math.sqrt(p1 * p1 + b1 * b1);
  const c2 = Math.sqrt(p2 * p2 + b2 * b2);
  const grey = c1 * c2 === 0;
  // Of both hues together: halfway between them, or that of the one that is no grey.
  let x = grey ? p1 + p2 : p1 / c1 + p2 / c2;
  let y = grey ? b1 + b2 : b1 / c1 + b2 / c2;
  let length = Math.sqrt(x * x + y * y);
  // Opposite hues have no half way; of the two square to them the notes take the one that the angles add up to.
  if (!grey && length < 1e-8) [x, y, length] = squareTo(p1, b1, p2, b2);
  const cos = length === 0 ? 1 : x / length;
  const sin = length === 0 ? 0 : y / length;
  const cos2 = 2 * cos * cos - 1;
  const sin2 = 2 * sin * cos;
  const cos3 = cos2 * cos - sin2 * sin;
  const sin3 = sin2 * cos + cos2 * sin;
  const cos4 = 2 * cos2 * cos2 - 1;
  const sin4 = 2 * sin2 * cos2;
  const t =
    1 -
    0.17 * (cos * COS30 + sin * SIN30) +
    0.24 * cos2 +
    0.32 * (cos3 * COS6 - sin3 * SIN6) -
    0.2 * (cos4 * COS63 + sin4 * SIN63);

  const meanC = (c1 + c2) / 2;
  const offset = ((l1 + l2) / 2 - 50) ** 2;
  const dL = (l2 - l1) / (1 + (0.015 * offset) / Math.sqrt(20 + offset));
  const dC = (c2 - c1) / (1 + 0.045 * meanC);
  const turned = grey ? 0 : Math.sqrt(Math.max(0, 2 * (c1 * c2 - p1 * p2 - b1 * b2)));
  const dH = (p1 * b2 - b1 * p2 < 0 ? -turned : turned) / (1 + 0.015 * meanC * t);
  return Math.sqrt(dL * dL + dC * dC + dH * dH + rotation(cos, sin, meanC) * dC * dH);
}

/** How far hue and chroma pull on each other: only among the blues, within 90 degrees of 275. */
function rotation(cos: number, sin: number, meanC: number): number {
  const towards = cos * COS275 + sin * SIN275;
  if (towards <= 0) return 0;
  const off = Math.atan2(sin * COS275 - cos * SIN275, towards) / RADIANS / 25;
  const c7 = seventh(meanC);
  return -2 * Math.sqrt(c7 / (c7 + POW25_7)) * Math.sin(60 * RADIANS * Math.exp(-off * off));
}

/** The unit vector at the mean of two angles, 0 to 360 degrees each. */
function squareTo(x1: number, y1: number, x2: number, y2: number): [x: number, y: number, length: number] {
  const angle = (x: number, y: number) => (Math.atan2(y, x) + 2 * Math.PI) % (2 * Math.PI);
  const mean = (angle(x1, y1) + angle(x2, y2)) / 2;
  return [Math.cos(mean), Math.sin(mean), 1];
}

function seventh(value: number): number {
  const cube = value * value * value;
  return cube * cube * value;
}
