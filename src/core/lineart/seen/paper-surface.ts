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
  for (let top = 0; top < height; top += TILE) {
    for (let left = 0; left < width; left += TILE) {
      const [right, bottom] = [Math.min(width, left + TILE), Math.min(height, top + TILE)];
      const values: number[] = [];
      for (let y = top; y < bottom; y += 2) for (let x = left; x < right; x += 2) values.push(light[y * width + x]);
      values.sort((a, b) => a - b);
      const level = values[Math.floor(PAPER_SHARE * (values.length - 1))];
      tiles.push({ x: (left + right) / 2 / width, y: (top + bottom) / 2 / height, level });
    }
  }
  const brightest = [...tiles].sort((a, b) => b.level - a.level);
  // The paper is what most of the page is; it is looked for from its brightest parts, as on white paper with print, and
  // from all of it, as on a toned card that lies on white glass.
  const found = [brightest.slice(0, Math.max(6, Math.ceil(tiles.length / 4))), tiles].map((start) =>
    settled(start, tiles),
  );
  const { surface } = found[1].kept > found[0].kept ? found[1] : found[0];
  return (x, y) => Math.max(1, surface(x / width, y / height));
}

interface Tile {
  x: number;
  y: number;
  level: number;
}

/** The surface that fitting goes to from some tiles, dropping in turn what lies off it, and how many tiles lie on it. */
function settled(start: readonly Tile[], tiles: readonly Tile[]): { surface: PaperSurface; kept: number } {
  let surface = fitted(start);
  let kept = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const on = tiles.filter(({ x, y, level }) => Math.abs(level - surface(x, y)) < NO_PAPER * surface(x, y));
    kept = on.length;
    if (kept < 6) break;
    surface = fitted(on);
  }
  return { surface, kept };
}

/** The surface a + bx + cy + dxx + exy + fyy of least squares, a little drawn to being level. */
function fitted(tiles: readonly Tile[]): PaperSurface {
  const terms = (x: number, y: number) => [1, x, y, x * x, x * y, y * y];
  const n = 6;
  const rows = Array.from({ length: n }, (_, k) => {
    const row = new Float64Array(n + 1);
    if (k > 0) row[k] = 1e-3 * tiles.length;
    return row;
  });
  for (const { x, y, level } of tiles) {
    const t = terms(x, y);
    for (let i = 0; i < n; i++) {
      for (let j = 0; j < n; j++) rows[i][j] += t[i] * t[j];
      rows[i][n] += t[i] * level;
    }
  }
  // Gauss and Jordan, on a matrix that is positive definite.
  for (let i = 0; i < n; i++) {
    for (let r = 0; r < n; r++) {
      if (r === i) continue;
      const share = rows[r][i] / rows[i][i];
      for (let j = i; j <= n; j++) rows[r][j] -= share * rows[i][j];
    }
  }
  const weights = rows.map((row, i) => row[n] / row[i]);
  return (x, y) => terms(x, y).reduce((sum, term, k) => sum + term * weights[k], 0);
}
