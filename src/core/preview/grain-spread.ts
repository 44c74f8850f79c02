/** Terms of the series; what is left over lies within features, which pixels no smaller than a tenth of one even out. */
const TERMS = 40;

/**
 * How much a pixel's share of covered paper varies from pixel to pixel: the standard deviation of the share, where the
 * paper's relief is a normal field that is covered above a height. A pixel that is small beside the features of the
 * relief is covered or bare; one that is large shows the mean of many.
 *
 * Two points of such a field are both covered with a probability that is a series in their correlation (K. Pearson, On
 * the correlation of characters not quantitatively measurable, 1900, the tetrachoric series); powers of a bell-shaped
 * correlation are bells themselves, whose mean over a square is known.
 * @param pixel side of a pixel beside a feature of the grain, 0 or more; a feature is as wide as the grain's
 *   autocorrelation at half of its height
 * @returns the deviation for a mean share that is covered, 0..1
 */
export function spreadOfShare(pixel: number): (share: number) => number {
  const bells = Float64Array.from({ length: TERMS + 2 }, (_, n) => meanOfBell(n, pixel) ** 2);
  return (share) => spreadOfOne(share, pixel, bells);
}

/** @param bells the square of the mean of the nth power of the bell, at n */
function spreadOfOne(share: number, pixel: number, bells: Float64Array): number {
  const whole = share * (1 - share);
  if (whole <= 0) return 0;
  if (pixel <= 0) return Math.sqrt(whole);
  const z = quantile(share);
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  // Hermite polynomials over the square roots of factorials, so that none grows out of bounds.
  let [before, now] = [0, 1];
  let [seen, varies] = [0, 0];
  for (let n = 1; n <= TERMS; n++) {
    const term = (density * now) ** 2 / n;
    seen += term;
    varies += term * bells[n]!;
    [before, now] = [now, (z * now - Math.sqrt(n - 1) * before) / Math.sqrt(n)];
  }
  varies += Math.max(0, whole - seen) * bells[TERMS + 1]!;
  return Math.sqrt(varies);
}

/**
 * Mean of the nth power of the bell exp(-4 ln 2 u^2) over the distances between two points of a stretch of this length:
 * the integral of 2 (1 - u) exp(-c u^2) from 0 to 1.
 */
function meanOfBell(n: number, length: number): number {
  const c = 4 * Math.LN2 * n * length * length;
  if (c < 1e-6) return 1;
  return Math.sqrt(Math.PI / c) * erf(Math.sqrt(c)) - (1 - Math.exp(-c)) / c;
}

/** The error function, to 1.5e-7. Source: M. Abramowitz, I. Stegun, Handbook of mathematical functions (1964), 7.1.26. */
export function erf(x: number): number {
  const t = 1 / (1 + 0.3275911 * Math.abs(x));
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-x * x);
  return x < 0 ? tail - 1 : 1 - tail;
}

/** The height above which a standard normal lies with this probability, by halving. */
function quantile(share: number): number {
  let [low, high] = [-8, 8];
  for (let k = 0; k < 40; k++) {
    const middle = (low + high) / 2;
    if ((1 - erf(middle / Math.SQRT2)) / 2 > share) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
