import { type Lab } from './lab.ts';

const DEGREE = Math.PI / 180;
const POW25_7 = 25 ** 7;

/**
 * Colour difference CIEDE2000 between two Lab colours, with all weights 1. About 1 is just seen side by side.
 * Source: G. Sharma, W. Wu, E. Dalal, The CIEDE2000 color-difference formula: implementation notes (2005).
 */
export function deltaE2000(first: Lab, second: Lab): number {
  const [l1, a1, b1] = first;
  const [l2, a2, b2] = second;
  const meanChroma7 = ((Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2) ** 7;
  const g = 0.5 * (1 - Math.sqrt(meanChroma7 / (meanChroma7 + POW25_7)));
  const c1 = Math.hypot((1 + g) * a1, b1);
  const c2 = Math.hypot((1 + g) * a2, b2);
  const h1 = hue((1 + g) * a1, b1);
  const h2 = hue((1 + g) * a2, b2);
  const grey = c1 * c2 === 0;

  let dh = h2 - h1;
  if (dh > 180) dh -= 360;
  else if (dh < -180) dh += 360;
  if (grey) dh = 0;
  let meanHue = h1 + h2;
  if (!grey) {
    if (Math.abs(h1 - h2) <= 180) meanHue /= 2;
    else meanHue = meanHue < 360 ? (meanHue + 360) / 2 : (meanHue - 360) / 2;
  }

  const dL = l2 - l1;
  const dC = c2 - c1;
  const dH = 2 * Math.sqrt(c1 * c2) * Math.sin((dh / 2) * DEGREE);
  const meanL = (l1 + l2) / 2;
  const meanC = (c1 + c2) / 2;
  const t =
    1 -
    0.17 * Math.cos((meanHue - 30) * DEGREE) +
    0.24 * Math.cos(2 * meanHue * DEGREE) +
    0.32 * Math.cos((3 * meanHue + 6) * DEGREE) -
    0.2 * Math.cos((4 * meanHue - 63) * DEGREE);
  const offset = (meanL - 50) ** 2;
  const sL = 1 + (0.015 * offset) / Math.sqrt(20 + offset);
  const sC = 1 + 0.045 * meanC;
  const sH = 1 + 0.015 * meanC * t;
  const c7 = meanC ** 7;
  const rotation =
    -2 * Math.sqrt(c7 / (c7 + POW25_7)) * Math.sin(60 * Math.exp(-(((meanHue - 275) / 25) ** 2)) * DEGREE);
  return Math.sqrt((dL / sL) ** 2 + (dC / sC) ** 2 + (dH / sH) ** 2 + rotation * (dC / sC) * (dH / sH));
}

function hue(a: number, b: number): number {
  if (a === 0 && b === 0) return 0;
  const degrees = Math.atan2(b, a) / DEGREE;
  return degrees < 0 ? degrees + 360 : degrees;
}
