import { type Lab, labOfHex, labOfRgb, linearise, rgbOfLab } from '../colour/index.ts';
import { PATCH_PASSES, type Paper, type Patch, bareGround, layPasses, pencilOptics } from '../laydown/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { type Box, type Light, evened, lightsIn, medianOf } from './picture-light.ts';

/** A grid laid over a picture of a swatch chart: its edges as shares of the picture, 0..1, and its cells. */
export interface ChartGrid {
  left: number;
  top: number;
  right: number;
  bottom: number;
  rows: number;
  columns: number;
}

/** The colour of one cell of a chart. */
export interface ChartCell {
  lab: Lab;
  /** How far the middle half of its pixels lies apart, in L*: an even patch has little. */
  spread: number;
  /** Whether the cell holds bare paper rather than a patch. */
  bare: boolean;
}

/** The part of a cell that is read, around its middle, and the rim in which paper is looked for, as shares of its sides. */
const MIDDLE = 0.4;
const RIM = 0.12;
/** Paper is where the rim is brightest: the share of its pixels that are darker than it. */
const BRIGHT = 0.85;
/** A cell that differs from paper by less than this in L* and chroma holds nothing. */
const BARE = 3;
const MOST_CELLS = 600;
const LEAST_PX = 8;
/** Paper on a picture reflects more than this of its light, 0..1, or it is no paper. */
const DARK = 0.04;

/**
 * Reads the colours of a chart's cells, row by row. Each is the median of its middle, after the light was evened out by
 * the paper that shows between the patches around it, which is taken to be the paper's own tint.
 * @throws RangeError for a grid without cells, with more than 600 or tiny ones, that does not lie on the picture, or
 *   where no paper shows
 */
export function readChart(image: RgbaImage, grid: ChartGrid, paper: Paper): ChartCell[] {
  const { rows, columns, left, top, right, bottom } = grid;
  if (!(rows >= 1 && columns >= 1 && Number.isInteger(rows) && Number.isInteger(columns))) {
    throw new RangeError('A grid has at least one row and one column.');
  }
  if (rows * columns > MOST_CELLS) throw new RangeError('A chart of more than 600 patches is too fine to be read.');
  if (!(left >= 0 && top >= 0 && right <= 1 && bottom <= 1 && right - left > 0.01 && bottom - top > 0.01)) {
    throw new RangeError('The grid must lie on the picture.');
  }
  if (((right - left) * image.width) / columns < LEAST_PX || ((bottom - top) * image.height) / rows < LEAST_PX) {
    throw new RangeError('This picture is too small for so many patches: each needs 8 pixels a side at least.');
  }
  const whites = eachCell(grid, image, (box) => brightOfRim(image, box));
  if (medianOf(whites)[1] < DARK) {
    throw new RangeError(
      'No paper shows between the patches, so their colours cannot be told. Photograph it in daylight.',
    );
  }
  const tint = rgbOfLab(labOfHex(paper.tint)).map(linearise);
  const bare = labOfHex(paper.tint);
  return eachCell(grid, image, (box, row, column) => {
    const white = whiteAround(whites, row, column, grid);
    const pixels = lightsIn(image, shrunk(box, MIDDLE));
    const lightness = pixels.map((light) => evened(light, white, tint)).map((rgb) => labOfRgb(rgb)[0]);
    const lab = labOfRgb(evened(medianOf(pixels), white, tint));
    const sorted = lightness.sort((a, b) => a - b);
    const spread = sorted[Math.floor(0.75 * (sorted.length - 1))]! - sorted[Math.floor(0.25 * (sorted.length - 1))]!;
    const off = Math.hypot(lab[1] - bare[1], lab[2] - bare[2]);
    return { lab, spread, bare: Math.abs(lab[0] - bare[0]) < BARE && off < BARE };
  });
}

/** Margins that are tried around a chart's patches, as shares of the picture's side. */
const MARGINS = [0, 0.015, 0.03, 0.045, 0.06, 0.08, 0.1];

/**
 * Lays a grid of rows and columns over a picture of a chart so that the middles of its cells are even and paper shows
 * at their rims, by trying margins.
 * @throws RangeError as readChart does
 */
export function fitGrid(image: RgbaImage, rows: number, columns: number, paper: Paper): ChartGrid {
  const grids = MARGINS.flatMap((x) =>
    MARGINS.map((y) => ({ left: x, top: y, right: 1 - x, bottom: 1 - y, rows, columns })),
  );
  const unevenness = grids.map((grid) => {
    const cells = readChart(image, grid, paper);
    return cells.reduce((sum, { spread, bare }) => sum + spread + (bare ? HOLLOW : 0), 0);
  });
  return grids[unevenness.indexOf(Math.min(...unevenness))]!;
}

/** What a cell without a patch counts in L*, so that a grid is not laid on bare margins. */
const HOLLOW = 12;

/**
 * The masstone of a pencil whose patch on a paper looks like this.
 * @param patch how the patch was laid
 * @param type id of a pencil type
 * @throws RangeError for a type that is not known
 */
export function masstoneOfPatch(seen: Lab, patch: Patch, type: string, paper: Paper): Lab {
  const passes = PATCH_PASSES[patch];
  let masstone: Lab = seen;
  for (let round = 0; round < ROUNDS; round++) {
    const pencil = pencilOptics({ masstone, type });
    const { lab } = layPasses(
      bareGround(paper),
      passes.map((pressure) => ({ pencil, pressure })),
    );
    masstone = [
      Math.min(97, Math.max(8, masstone[0] + seen[0] - lab[0])),
      masstone[1] + seen[1] - lab[1],
      masstone[2] + seen[2] - lab[2],
    ];
  }
  return masstone;
}

const ROUNDS = 8;

function eachCell<T>(
  { left, top, right, bottom, rows, columns }: ChartGrid,
  { width, height }: RgbaImage,
  read: (box: Box, row: number, column: number) => T,
): T[] {
  const [across, down] = [((right - left) * width) / columns, ((bottom - top) * height) / rows];
  return Array.from({ length: rows * columns }, (_, i) => {
    const [row, column] = [Math.floor(i / columns), i % columns];
    const [x, y] = [left * width + column * across, top * height + row * down];
    return read({ left: x, top: y, right: x + across, bottom: y + down }, row, column);
  });
}

/** A box around the same middle, its sides so many times as long. */
function shrunk({ left, top, right, bottom }: Box, share: number): Box {
  const [dx, dy] = [((1 - share) * (right - left)) / 2, ((1 - share) * (bottom - top)) / 2];
  return { left: left + dx, top: top + dy, right: right - dx, bottom: bottom - dy };
}

/** The paper that shows along the rim of a cell. */
function brightOfRim(image: RgbaImage, box: Box): Light {
  const inner = shrunk(box, 1 - 2 * RIM);
  const rim = lightsIn(
    image,
    box,
    (x, y) => x < inner.left || x > inner.right || y < inner.top || y > inner.bottom,
  ).sort((p, q) => p[1] - q[1]);
  const bright = rim.slice(Math.floor(BRIGHT * (rim.length - 1)));
  return medianOf(bright);
}

/** The paper around a cell: the median over it and its neighbours. */
function whiteAround(whites: readonly Light[], row: number, column: number, { rows, columns }: ChartGrid): Light {
  const near: Light[] = [];
  for (let r = Math.max(0, row - 1); r <= Math.min(rows - 1, row + 1); r++)
    for (let c = Math.max(0, column - 1); c <= Math.min(columns - 1, column + 1); c++)
      near.push(whites[r * columns + c]!);
  return medianOf(near);
}
