/**
 * The level that parts dark from light best. Source: N. Otsu, A threshold selection method from gray-level histograms
 * (1979).
 * @param histogram how often each grey of 0..255 occurs
 * @returns the level, dark ones up to and with it; and how far the means of the two sides lie apart, 0 for one tone only
 */
export function partTones(histogram: ArrayLike<number>): { threshold: number; contrast: number } {
  let total = 0;
  let sum = 0;
  for (let v = 0; v < 256; v++) {
    total += histogram[v]!;
    sum += v * histogram[v]!;
  }
  let below = 0;
  let sumBelow = 0;
  let best = { threshold: 127, contrast: 0, spread: -1 };
  let first = 127;
  for (let v = 0; v < 255; v++) {
    below += histogram[v]!;
    sumBelow += v * histogram[v]!;
    const above = total - below;
    if (below === 0 || above === 0) continue;
    const contrast = (sum - sumBelow) / above - sumBelow / below;
    const spread = below * above * contrast * contrast;
    if (spread > best.spread) first = v;
    // Between two tones every level parts them equally well: the middle of those is taken.
    if (spread >= best.spread) best = { threshold: (first + v) >> 1, contrast, spread };
  }
  return best;
}
