import { seededRandom } from '../random/index.ts';

/** Side of the grain tile, pixels; a power of two so that coordinates wrap by masking. */
export const TILE = 512;
/** Grain pixels per mm of paper. */
export const GRAIN_PER_MM = 11;

/** How the hand draws the tooth out: along its natural slant, level, upright, or not at all where it dots or circles. */
export const DRAWN = ['slanted', 'level', 'upright', 'round'] as const;
export type Drawn = (typeof DRAWN)[number];

/** Which way strokes run in each, pixels along and down, and how much of the grain they make. */
const STROKES: Readonly<Record<Drawn, { dx: number; dy: number; share: number }>> = {
  slanted: { dx: 3, dy: -1, share: 0.55 },
  level: { dx: 1, dy: 0, share: 0.75 },
  upright: { dx: 0, dy: 1, share: 0.75 },
  round: { dx: 3, dy: -1, share: 0 },
};

/**
 * The tooth of the paper as the pencil meets it: a tile that wraps, each value 0..255 equally common, so that the
 * pixels below a threshold cover exactly that share of the area. Low values are valleys that stay bare longest. Most
 * of it is fine and round, some is larger cloud, some is drawn out along the strokes. All are of one sheet of paper.
 */
export function grainOf(drawn: Drawn): Uint8Array {
  const grain = made.get(drawn) ?? makeGrain(drawn);
  made.set(drawn, grain);
  return grain;
}

const made = new Map<Drawn, Uint8Array>();

/** The grain of the hand's natural slant. */
export const paperGrain = grainOf('slanted');

function makeGrain(drawn: Drawn): Uint8Array {
  const { dx, dy, share } = STROKES[drawn];
  const random = seededRandom(20);
  const noise = Float32Array.from({ length: TILE * TILE }, () => random());
  const fine = smooth(smooth(noise, 1), 1);
  const cloud = smooth(smooth(fine, 4), 4);
  const reach = dx === 3 ? [5, 3] : [15, 9];
  const strokes = blurAlong(blurAlong(blurAlong(fine, dx, dy, reach[0]), dx, dy, reach[1]), 1, 0, 1);
  const [f, c, s] = [1 / spreadOf(fine), 0.2 / spreadOf(cloud), share / spreadOf(strokes)];
  return equalised(fine.map((v, i) => v * f + cloud[i] * c + strokes[i] * s));
}

/** The mean around each place, as far as it reaches. Boxes laid twice come near a bell and leave no comb behind. */
function smooth(values: Float32Array, reach: number): Float32Array {
  return blurAlong(blurAlong(values, 1, 0, reach), 0, 1, reach);
}

function spreadOf(values: Float32Array): number {
  const mean = values.reduce((a, b) => a + b, 0) / values.length;
  return Math.sqrt(values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length);
}

/** Sums over 2 x reach + 1 pixels along a direction, wrapping at the edges. */
function blurAlong(values: Float32Array, dx: number, dy: number, reach: number): Float32Array {
  const mask = TILE - 1;
  const out = new Float32Array(values.length);
  for (let y = 0, i = 0; y < TILE; y++) {
    for (let x = 0; x < TILE; x++, i++) {
      for (let k = -reach; k <= reach; k++) out[i] += values[((y + k * dy) & mask) * TILE + ((x + k * dx) & mask)];
    }
  }
  return out;
}

/** Replaces each value by its rank, 0..255. */
function equalised(values: Float32Array): Uint8Array {
  const order = Float32Array.from(values).sort();
  const ranks = new Uint8Array(values.length);
  for (let i = 0; i < values.length; i++) {
    let low = 0;
    let high = order.length;
    while (low < high) {
      const middle = (low + high) >> 1;
      if (order[middle] < values[i]) low = middle + 1;
      else high = middle;
    }
    ranks[i] = Math.min(255, (low * 256) / values.length);
  }
  return ranks;
}
