import { type GreyImage } from './images.ts';

const TILE = 32;
/** Paper is taken to be brighter than this share of a tile. */
const PAPER_RANK = 0.7;

/**
 * Takes uneven light out of a page: the paper's brightness is read a tile of 32 px at a time (70th percentile, the
 * brightest of its neighbours, smoothed) and every pixel is divided by it, so that paper comes out near 255.
 */
export function flattenLight({ width, height, data }: GreyImage): GreyImage {
  const across = Math.ceil(width / TILE);
  const down = Math.ceil(height / TILE);
  const paper = spread(tilePaper({ width, height, data }, across, down), across, down);
  const out = new Uint8Array(data.length);
  for (let y = 0; y < height; y++) {
    const fy = Math.min(down - 1, Math.max(0, y / TILE - 0.5));
    const y0 = Math.floor(fy);
    const y1 = Math.min(down - 1, y0 + 1);
    const wy = fy - y0;
    for (let x = 0; x < width; x++) {
      const fx = Math.min(across - 1, Math.max(0, x / TILE - 0.5));
      const x0 = Math.floor(fx);
      const x1 = Math.min(across - 1, x0 + 1);
      const wx = fx - x0;
      const top = paper[y0 * across + x0] * (1 - wx) + paper[y0 * across + x1] * wx;
      const bottom = paper[y1 * across + x0] * (1 - wx) + paper[y1 * across + x1] * wx;
      const level = top * (1 - wy) + bottom * wy;
      out[y * width + x] = Math.min(255, (255 * data[y * width + x]) / level);
    }
  }
  return { width, height, data: out };
}

function tilePaper({ width, height, data }: GreyImage, across: number, down: number): Float32Array {
  const paper = new Float32Array(across * down);
  const histogram = new Uint32Array(256);
  for (let ty = 0; ty < down; ty++) {
    for (let tx = 0; tx < across; tx++) {
      histogram.fill(0);
      let count = 0;
      for (let y = ty * TILE; y < Math.min(height, (ty + 1) * TILE); y++) {
        for (let x = tx * TILE; x < Math.min(width, (tx + 1) * TILE); x++) {
          histogram[data[y * width + x]]++;
          count++;
        }
      }
      let seen = 0;
      let level = 0;
      while (level < 255 && (seen += histogram[level]) < PAPER_RANK * count) level++;
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
        values.push(tiles[y * across + x]);
      }
    }
    return of(values);
  });
}
