import { type GreyImage } from './images.ts';

const TILE = 32;
/** Paper is taken to be brighter than this share of a tile. */
const PAPER_RANK = 0.7;
/** Standard deviation of the paper's grain, of 255, above which it is smoothed before ink is told from paper. */
const NOISY = 2;

/**
 * Takes uneven light out of a page: the paper's brightness is read a tile of 32 px at a time (70th percentile of every
 * other pixel, the brightest of its neighbours, smoothed) and every pixel is divided by it, so that paper comes out
 * near 255. A noisy page is smoothed over 3 x 3 pixels as well.
 */
export function flattenLight({ width, height, data }: GreyImage): GreyImage {
  const across = Math.ceil(width / TILE);
  const down = Math.ceil(height / TILE);
  const paper = spread(tilePaper({ width, height, data }, across, down), across, down);
  const out = new Uint8ClampedArray(data.length);
  // Between the middles of two tiles the factor changes by the same amount every pixel.
  const factors = new Float32Array(across);
  for (let y = 0; y < height; y++) {
    const fy = Math.min(down - 1, Math.max(0, y / TILE - 0.5));
    const y0 = Math.floor(fy);
    const y1 = Math.min(down - 1, y0 + 1);
    const wy = fy - y0;
    for (let t = 0; t < across; t++) {
      factors[t] = 255 / (paper[y0 * across + t]! * (1 - wy) + paper[y1 * across + t]! * wy);
    }
    const row = y * width;
    for (let t = -1; t < across; t++) {
      const left = factors[Math.max(0, t)]!;
      const right = factors[Math.min(across - 1, t + 1)]!;
      const from = Math.max(0, (t + 0.5) * TILE);
      const to = Math.min(width, (t + 1.5) * TILE);
      const step = (right - left) / TILE;
      let factor = left + step * (from - (t + 0.5) * TILE);
      for (let i = row + from; i < row + to; i++, factor += step) out[i] = data[i]! * factor;
    }
  }
  const flat = new Uint8Array(out.buffer);
  if (grainOf(flat) > NOISY) smooth(flat, width, height);
  return { width, height, data: flat };
}

function tilePaper({ width, height, data }: GreyImage, across: number, down: number): Float32Array {
  const paper = new Float32Array(across * down);
  const histograms = new Uint16Array(256 * across);
  for (let ty = 0; ty < down; ty++) {
    histograms.fill(0);
    const bottom = Math.min(height, (ty + 1) * TILE);
    for (let y = ty * TILE; y < bottom; y += 2) {
      for (let x = 0, i = y * width; x < width; x += 2, i += 2) histograms[((x >> 5) << 8) | data[i]!]!++;
    }
    const rows = Math.ceil((bottom - ty * TILE) / 2);
    for (let tx = 0; tx < across; tx++) {
      const count = rows * Math.ceil((Math.min(width, (tx + 1) * TILE) - tx * TILE) / 2);
      let seen = 0;
      let level = 0;
      while (level < 255 && (seen += histograms[(tx << 8) | level]!) < PAPER_RANK * count) level++;
      paper[ty * across + tx] = Math.max(1, level);
    }
  }
  return paper;
}

/** A tile full of ink learns the paper from the brightest tile within two; then neighbouring tiles are evened out. */
function spread(paper: Float32Array, across: number, down: number): Float32Array {
  const brightest = around(paper, across, down, 2, (values) => Math.max(...values));
  return around(brightest, across, down, 1, (values) => values.reduce((a, b) => a + b, 0) / values.length);
}

function around(
  tiles: Float32Array,
  across: number,
  down: number,
  reach: number,
  of: (values: number[]) => number,
): Float32Array {
  return tiles.map((_, i) => {
    const values: number[] = [];
    const cx = i % across;
    const cy = Math.floor(i / across);
    for (let y = Math.max(0, cy - reach); y <= Math.min(down - 1, cy + reach); y++) {
      for (let x = Math.max(0, cx - reach); x <= Math.min(across - 1, cx + reach); x++) {
        values.push(tiles[y * across + x]!);
      }
    }
    return of(values);
  });
}

/**
 * The noise of a page: standard deviation estimated from the median difference of neighbouring pixels, which the few
 * that lie on an outline do not move.
 */
function grainOf(data: Uint8Array): number {
  const differences = new Uint32Array(256);
  let count = 0;
  for (let i = 0; i + 1 < data.length; i += 13, count++) differences[Math.abs(data[i + 1]! - data[i]!)]!++;
  let median = 0;
  for (let seen = differences[0]!; seen < count / 2; seen += differences[++median]!);
  return (1.4826 * median) / Math.SQRT2;
}

/** Weighs each pixel with its neighbours, 1 2 1 across and 1 2 1 down, in place; the outermost pixels stay. */
function smooth(data: Uint8Array, width: number, height: number): void {
  let above = new Uint16Array(width);
  let here = new Uint16Array(width);
  let below = new Uint16Array(width);
  const across = (y: number, into: Uint16Array) => {
    const row = y * width;
    for (let x = 1; x < width - 1; x++) into[x] = data[row + x - 1]! + 2 * data[row + x]! + data[row + x + 1]!;
  };
  if (height < 3) return;
  across(0, above);
  across(1, here);
  for (let y = 1; y < height - 1; y++) {
    across(y + 1, below);
    const row = y * width;
    for (let x = 1; x < width - 1; x++) data[row + x] = (above[x]! + 2 * here[x]! + below[x]! + 8) >> 4;
    [above, here, below] = [here, below, above];
  }
}
