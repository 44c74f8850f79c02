import { seededRandom } from '../random/index.ts';
import { erf, spreadOfShare } from './grain-spread.ts';

/** Side of the grain tile, pixels; a power of two so that coordinates wrap by masking. */
export const TILE = 1024;
/** Pixels of the tile for each feature of the grain: where its autocorrelation is at half of its height. */
export const PER_FEATURE = 4;
/** Pixels of a picture that are larger than a feature take every so manieth pixel of the tile: odd, so that none comes twice. */
const APART = 5;
/** Sharper edges of specks than this many of 256 steps on each side of the edge nobody sees. */
const SHARPEST = 6;

/** The grain of a paper as the pixels of one picture meet it. */
export interface Grain {
  /** Pixels of the tile for each pixel of the picture. */
  stride: number;
  /** How much pigment a pixel shows, in 256ths: at [specks, 0..255] x 256 + value of the tile. */
  shares: Uint16Array;
}

let tile: Uint8Array | null = null;

/**
 * The tooth of the paper as the pencil meets it: a tile that wraps, each value 0..255 equally common, so that the pixels
 * below a threshold cover exactly that share of the area. Low values are valleys that stay bare longest. Made when first
 * asked for: threads that paint no paper never need it.
 */
export function grainTile(): Uint8Array {
  return (tile ??= makeTile());
}

function makeTile(): Uint8Array {
  const random = seededRandom(20);
  let field = new Float32Array(TILE * TILE);
  for (let i = 0; i < field.length; i++) field[i] = random() - 0.5;
  // Boxes of three laid twice come near a bell and leave no comb behind; many sums of many are normal.
  for (const step of [1, TILE, 1, TILE]) field = threeAlong(field, step);
  // Of a box of three laid twice the squares of the weights, 1 2 3 2 1, are 19; so across and down, of a variance of 1/12.
  const deviation = 19 / Math.sqrt(12);
  // Ranks in steps of a five hundredth of the deviation.
  const ranks = Uint8Array.from({ length: 5001 }, (_, k) =>
    Math.min(255, Math.floor(128 * (1 + erf((k / 500 - 5) / Math.SQRT2)))),
  );
  const values = new Uint8Array(field.length);
  for (let i = 0; i < values.length; i++) {
    values[i] = ranks[Math.min(5000, Math.max(0, Math.round((field[i]! / deviation + 5) * 500)))]!;
  }
  return values;
}

/** Sums of three neighbours a step apart: one along a row, a side of the tile down a column. They wrap at the edges. */
function threeAlong(values: Float32Array<ArrayBuffer>, step: number): Float32Array<ArrayBuffer> {
  const out = new Float32Array(values.length);
  const last = values.length - 1;
  // A row's end goes on in the next row, which is as good an edge for a field that is the same everywhere.
  for (let i = 0; i < values.length; i++) out[i] = values[(i - step) & last]! + values[i]! + values[(i + step) & last]!;
  return out;
}

const made = new Map<string, Grain>();

/**
 * The grain of a paper in a picture: its specks are as large as on paper where pixels are small, and where a pixel covers
 * many of them it shows their mean, varying as much as that does.
 * @param featureMm width of a feature of the paper's grain, mm
 */
export function grainOf(featureMm: number, pixelsPerMm: number): Grain {
  // Pixels a fiftieth larger look no different.
  const pixel = Math.exp(Math.round(50 * Math.log(1 / pixelsPerMm / featureMm)) / 50);
  const key = pixel.toFixed(4);
  let grain = made.get(key);
  if (!grain) {
    if (made.size > 12) made.clear();
    made.set(key, (grain = { stride: pixel >= 1 ? APART : PER_FEATURE * pixel, shares: sharesFor(pixel) }));
  }
  return grain;
}

function sharesFor(pixel: number): Uint16Array {
  const shares = new Uint16Array(65536);
  const spreadOf = spreadOfShare(pixel);
  for (let specks = 0; specks < 256; specks++) {
    const reach = reachFor(specks, spreadOf(1 - specks / 256));
    const bottom = bottomOf(specks, reach);
    for (let value = 0; value < 256; value++) {
      shares[(specks << 8) | value] = Math.round(256 * pigmentShare(value + 0.5, bottom, reach));
    }
  }
  return shares;
}

/** How far the edge of specks must be softened for the share of pigment to vary as much as this, by halving. */
function reachFor(specks: number, spread: number): number {
  let [low, high] = [SHARPEST, 65536];
  if (spread <= 0) return high;
  for (let k = 0; k < 24; k++) {
    const middle = Math.sqrt(low * high);
    if (spreadAt(specks, middle) > spread) low = middle;
    else high = middle;
  }
  return Math.sqrt(low * high);
}

function spreadAt(specks: number, reach: number): number {
  const covered = 1 - specks / 256;
  const bottom = bottomOf(specks, reach);
  let squares = 0;
  for (let value = 2; value < 256; value += 4) squares += (pigmentShare(value, bottom, reach) - covered) ** 2;
  return Math.sqrt(squares / 64);
}

/**
 * How much pigment a grain value shows, 0 (paper) to 1 (pigment).
 * @param value of the grain, 0..256
 * @param bottom up to which no pigment lies
 * @param reach values on each side of the edge of a speck over which pigment thins out, above 0
 */
function pigmentShare(value: number, bottom: number, reach: number): number {
  return Math.min(1, Math.max(0, (value - bottom) / (2 * reach)));
}

/**
 * The grain value up to which no pigment lies, so that over all grain values, which are equally common, the mean is exactly
 * the share that is covered: where thinning reaches past an end of the grain, it is moved to keep the mean.
 * @param specks share of bare paper, in 256ths
 */
function bottomOf(specks: number, reach: number): number {
  const covered = 256 - specks;
  const within = specks - reach;
  if (within >= 0 && within + 2 * reach <= 256) return within;
  const below = 2 * Math.sqrt(specks * reach) - 2 * reach;
  if (below <= 0 && below + 2 * reach <= 256) return below;
  const above = 256 - 2 * Math.sqrt(covered * reach);
  if (above >= 0 && above + 2 * reach >= 256) return above;
  return 128 - (2 * reach * covered) / 256;
}
