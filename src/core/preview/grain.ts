import { seededRandom } from '../random/index.ts';

/** Side of the grain tile, pixels; a power of two so that coordinates wrap by masking. */
export const TILE = 256;
/** Grain pixels per mm of paper: one grain pixel is about an eighth of a millimetre. */
export const GRAIN_PER_MM = 8;

/**
 * The tooth of the paper as the pencil meets it: a tile that wraps, each value 0..255 equally common, so that the
 * pixels below a threshold cover exactly that share of the area. Low values are valleys that stay bare longest. Fibres
 * are round; the pencil's travel draws them out a little along the hand's natural slant.
 */
export const paperGrain: Uint8Array = makeGrain();

function makeGrain(): Uint8Array {
  const random = seededRandom(20);
  const noise = Float32Array.from({ length: TILE * TILE }, () => random());
  const fine = blurAlong(blurAlong(noise, 1, 0, 1), 0, 1, 1);
  const coarse = blurAlong(blurAlong(fine, 1, 0, 2), 0, 1, 2);
  const strokes = blurAlong(blurAlong(noise, 2, -1, 7), 1, 1, 1);
  const spread = (values: Float32Array) => {
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    return Math.sqrt(values.reduce((a, b) => a + (b - mean) ** 2, 0) / values.length);
  };
  const [f, c, s] = [1 / spread(fine), 0.55 / spread(coarse), 0.6 / spread(strokes)];
  const mixed = fine.map((v, i) => v * f + coarse[i] * c + strokes[i] * s);
  return equalised(mixed);
}

function blurAlong(values: Float32Array, dx: number, dy: number, reach: number): Float32Array {
  const mask = TILE - 1;
  return values.map((_, i) => {
    const x = i & mask;
    const y = i >> 8;
    let sum = 0;
    for (let k = -reach; k <= reach; k++) sum += values[((y + k * dy) & mask) * TILE + ((x + k * dx) & mask)];
    return sum;
  });
}

function equalised(values: Float32Array): Uint8Array {
  const order = Uint32Array.from(values, (_, i) => i).sort((p, q) => values[p] - values[q]);
  const ranks = new Uint8Array(values.length);
  order.forEach((at, rank) => (ranks[at] = (rank * 256) / values.length));
  return ranks;
}
