/**
 * Reflectance of a film of thickness `t` over a ground of reflectance `ground`, one wavelength.
 * @param k absorption per unit of thickness, 0 or more
 * @param s scattering per unit of thickness, 0 or more
 * @param t thickness, 0 or more, in the unit of k and s
 * @param ground reflectance below the film, 0..1
 * Source: P. Kubelka, New contributions to the optics of intensely light-scattering materials (1948), hyperbolic form.
 */
export function filmOver(k: number, s: number, t: number, ground: number): number {
  if (t <= 0) return ground;
  if (s < 1e-9) return ground * Math.exp(-2 * k * t);
  if (k < 1e-9) return ((1 - ground) * s * t + ground) / ((1 - ground) * s * t + 1);
  const a = 1 + k / s;
  const b = Math.sqrt(a * a - 1);
  return throughFilm(a, bCothOf(b, s * t), ground);
}

/**
 * What the formula above needs of a pigment whatever the thickness and ground: a = 1 + K / S and b = sqrt(a^2 - 1).
 * @param k absorption, 0 or more
 * @param s scattering, above 0, as many bands
 */
export function filmConstants(k: Float64Array, s: Float64Array): { a: Float64Array; b: Float64Array } {
  const a = k.map((value, i) => 1 + value / s[i]!);
  return { a, b: a.map((value) => Math.sqrt(value * value - 1)) };
}

/**
 * b coth(b S t) of the formula above, from b and S t. Thin and thick films go over into their limits.
 */
export function bCothOf(b: number, st: number): number {
  const decay = Math.exp(-2 * b * st);
  return decay === 1 ? 1 / st : (b * (1 + decay)) / (1 - decay);
}

/** The last step of the formula: a ground seen through a film with these a and b coth(b S t). */
export function throughFilm(a: number, bCoth: number, ground: number): number {
  return (1 - ground * (a - bCoth)) / (a - ground + bCoth);
}
