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

/** The sheet of paper that all grains are of: its fine tooth, and the clouds in it. */
let sheet: ReturnType<typeof makeSheet> | null = null;

/** Made when first asked for: threads that paint no paper never need it. */
const made = new Map<Drawn, Uint8Array>();

function makeSheet() {
  const random = seededRandom(20);
  const noise = new Float32Array(TILE * TILE);
  for (let i = 0; i < noise.length; i++) noise[i] = random();
  const fine = smooth(smooth(noise, 1), 1);
  return { fine, cloud: smooth(smooth(fine, 4), 4) };
}

function makeGrain(drawn: Drawn): Uint8Array {
  const { dx, dy, share } = STROKES[drawn];
  const { fine, cloud } = (sheet ??= makeSheet());
  const reach = dx === 3 ? [5, 3] : [15, 9];
  const strokes = blurAlong(blurAlong(blurAlong(fine, dx, dy, reach[0]), dx, dy, reach[1]), 1, 0, 1);
  const [f, c, s] = [1 / spreadOf(fine), 0.2 / spreadOf(cloud), share / spreadOf(strokes)];
  const mixed = new Float32Array(fine.length);
  for (let i = 0; i < mixed.length; i++) mixed[i] = fine[i] * f + cloud[i] * c + strokes[i] * s;
  return equalised(mixed);
}

/** The mean around each place, as far as it reaches. Boxes laid twice come near a bell and leave no comb behind. */
function smooth(values: Float32Array, reach: number): Float32Array {
  return blurAlong(blurAlong(values, 1, 0, reach), 0, 1, reach);
}

function spreadOf(values: Float32Array): number {
  let [sum, squares] = [0, 0];
  for (let i = 0; i < values.length; i++) sum += values[i];
  const mean = sum / values.length;
  for (let i = 0; i < values.length; i++) squares += (values[i] - mean) ** 2;
  return Math.sqrt(squares / values.length);
}

/** Sums over 2 x reach + 1 pixels along a direction, wrapping at the edges: one sum slides along each line. */
function blurAlong(values: Float32Array, dx: number, dy: number, reach: number): Float32Array {
  const mask = TILE - 1;
  const out = new Float32Array(values.length);
  const line = new Int32Array(TILE);
  // Steps along the tile come back to where they began after a whole side, so each line is as long as that.
  const [right, down] = dx === 0 ? [1, 0] : [0, 1];
  for (let start = 0; start < TILE; start++) {
    for (let k = 0; k < TILE; k++) {
      line[k] = ((start * down + k * dy) & mask) * TILE + ((start * right + k * dx) & mask);
    }
    let sum = 0;
    for (let k = -reach; k < reach; k++) sum += values[line[k & mask]];
    for (let k = 0; k < TILE; k++) {
      sum += values[line[(k + reach) & mask]];
      out[line[k]] = sum;
      sum -= values[line[(k - reach) & mask]];
    }
  }
  return out;
}

/** Replaces each value by its rank, 0..255. */
function equalised(values: Float32Array): Uint8Array {
  const order = values.slice().sort();
  const least = new Float32Array(256);
  for (let rank = 0; rank < 256; rank++) least[rank] = order[(rank * order.length) >> 8];
  const ranks = new Uint8Array(values.length);
  for (let i = 0; i < values.length; i++) {
    let low = 0;
    for (let half = 128; half > 0; half >>= 1) if (least[low + half] <= values[i]) low += half;
    ranks[i] = low;
  }
  return ranks;
}
