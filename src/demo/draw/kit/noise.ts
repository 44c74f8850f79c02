/** A smooth number in -1..1 that depends on the place only. */
export type Noise = (x: number, y: number) => number;

/** Value noise over a lattice `apart` mm wide, smoothed by a quintic; the same seed gives the same noise. */
export function smoothNoise(apart: number, seed: number): Noise {
  return (x, y) => {
    const [u, v] = [x / apart, y / apart];
    const [i, j] = [Math.floor(u), Math.floor(v)];
    const [s, t] = [ease(u - i), ease(v - j)];
    const top = lattice(i, j, seed) * (1 - s) + lattice(i + 1, j, seed) * s;
    const bottom = lattice(i, j + 1, seed) * (1 - s) + lattice(i + 1, j + 1, seed) * s;
    return top * (1 - t) + bottom * t;
  };
}

function ease(t: number): number {
  return t * t * t * (t * (6 * t - 15) + 10);
}

function lattice(i: number, j: number, seed: number): number {
  let h = Math.imul(i, 0x27d4eb2d) ^ Math.imul(j, 0x165667b1) ^ Math.imul(seed + 1, 0x9e3779b1);
  h = Math.imul(h ^ (h >>> 15), 0x85ebca6b);
  h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
  return ((h ^ (h >>> 16)) >>> 0) / 2 ** 31 - 1;
}
