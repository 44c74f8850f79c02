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
