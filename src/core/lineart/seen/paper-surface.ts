import { Matrix, solve } from 'ml-matrix';

/** Level of the paper at a point of the page, in the units of the pixels it was read from. */
export type PaperSurface = (x: number, y: number) => number;

/** Side of the tiles that the level is read from, pixels, and the share of a tile's pixels that are darker. */
const TILE = 24;
const PAPER_SHARE = 0.85;
/** Tiles this share below the surface hold no bare paper: they are printed or coloured all over. */
const NO_PAPER = 0.05;
const ROUNDS = 6;

/**
 * How bright the bare paper is across a page that is lit unevenly: a quadratic surface through the bright parts of its
 * tiles, from which tiles without bare paper are dropped in turn. A lamp or a lid leaves light that changes slowly
 * over the whole page; printed grey and colour end at lines, and so lie below the surface.
 * @param light of each pixel, row by row
 */
export function paperSurface(light: ArrayLike<number>, width: number, height: number): PaperSurface {
  const tiles: Tile[] = [];
  const values = new Float64Array((TILE / 2) ** 2);
  for (let top = 0; top < height; top += TILE) {
    for (let left = 0; left < width; left += TILE) {
      const [right, bottom] = [Math.min(width, left + TILE), Math.min(height, top + TILE)];
      let count = 0;
      for (let y = top; y < bottom; y += 2)
        for (let x = left; x < right; x += 2) values[count++] = light[y * width + x]!;
      const level = values.subarray(0, count).sort()[Math.floor(PAPER_SHARE * (count - 1))]!;
      tiles.push({ terms: termsAt((left + right) / 2 / width, (top + bottom) / 2 / height), level });
    }
  }
  const brightest = [...tiles].sort((a, b) => b.level - a.level);
  // The paper is what most of the page is; it is looked for from its brightest parts, as on white paper with print, and
  // from all of it, as on a toned card that lies on white glass.
  const found = [brightest.slice(0, Math.max(6, Math.ceil(tiles.length / 4))), tiles].map((start) =>
    settled(start, tiles),
  );
  const { weights } = found[1]!.kept > found[0]!.kept ? found[1]! : found[0]!;
  return (x, y) => Math.max(1, levelOf(termsAt(x / width, y / height), weights));
}

/** How much of each term of the surface a + bx + cy + dxx + exy + fyy there is at a place. */
type Terms = readonly number[];

function termsAt(x: number, y: number): Terms {
  return [1, x, y, x * x, x * y, y * y];
}

/** @param weights a to f */
function levelOf(terms: Terms, weights: readonly number[]): number {
  let level = 0;
  for (let k = 0; k < terms.length; k++) level += terms[k]! * weights[k]!;
  return level;
}

interface Tile {
  /** At its middle, in shares of the page. */
  terms: Terms;
  level: number;
}

/** The weights that fitting goes to from some tiles, dropping in turn what lies off the surface, and how many lie on it. */
function settled(start: readonly Tile[], tiles: readonly Tile[]): { weights: readonly number[]; kept: number } {
  let weights = fitted(start);
  let kept = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const on = tiles.filter(({ terms, level }) => {
      const paper = levelOf(terms, weights);
      return Math.abs(level - paper) < NO_PAPER * paper;
    });
    kept = on.length;
    if (kept < 6) break;
    weights = fitted(on);
  }
  return { weights, kept };
}

/** How much the surface is drawn to being level, a tile. */
const LEVELLING = 1e-3;

/** The weights of least squares, a little drawn to being level. */
function fitted(tiles: readonly Tile[]): readonly number[] {
  const n = TERMS;
  const products = new Float64Array(n * n);
  const sums = new Float64Array(n);
  for (const { terms, level } of tiles) {
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) products[i * n + j]! += terms[i]! * terms[j]!;
      sums[i]! += terms[i]! * level;
    }
  }
  for (let k = 1; k < n; k++) products[k * n + k]! += LEVELLING * tiles.length;
  return solve(Matrix.from1DArray(n, n, products), Matrix.columnVector(sums)).to1DArray();
}

/** How many terms the surface has. */
const TERMS = termsAt(0, 0).length;
