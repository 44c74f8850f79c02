import { type Border, NO_REGION } from './region-map.ts';

/**
 * Length of a border, in pixels, per crossing of a line between neighbouring pixels, for the four directions of such
 * lines (Cauchy-Crofton; Y. Boykov, V. Kolmogorov, Computing geodesics and minimal surfaces via graph cuts, 2003).
 * Within 6% for a straight border in any direction.
 */
const STRAIGHT = Math.PI / 8;
const DIAGONAL = Math.PI / 8 / Math.SQRT2;

/**
 * Which regions touch once grown through the lines, and how much border they share.
 * @param grown labels grown to the middle of the lines
 * @param leastMm borders shorter than this (touching corners) are left out
 */
export function findNeighbours(
  grown: Uint16Array,
  size: { width: number; height: number; pixelsPerMm: number },
  leastMm: number,
): Border[] {
  const { width, height, pixelsPerMm } = size;
  const lengths = new Map<number, number>();
  const cross = (p: number, q: number, length: number) => {
    if (p === 0 || q === 0 || p === NO_REGION || q === NO_REGION) return;
    const key = p < q ? p * 65536 + q : q * 65536 + p;
    lengths.set(key, (lengths.get(key) ?? 0) + length);
  };
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      const down = y + 1 < height;
      const right = x + 1 < width;
      const own = grown[i];
      if (right && grown[i + 1] !== own) cross(own, grown[i + 1], STRAIGHT);
      if (down && grown[i + width] !== own) cross(own, grown[i + width], STRAIGHT);
      if (down && right && grown[i + width + 1] !== own) cross(own, grown[i + width + 1], DIAGONAL);
      if (down && x > 0 && grown[i + width - 1] !== own) cross(own, grown[i + width - 1], DIAGONAL);
    }
  }
  return [...lengths]
    .map(([key, px]) => ({ a: Math.floor(key / 65536), b: key % 65536, lengthMm: px / pixelsPerMm }))
    .filter((border) => border.lengthMm >= leastMm)
    .sort((p, q) => p.a - q.a || p.b - q.b);
}
