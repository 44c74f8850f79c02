import { type GreyImage } from './images.ts';

/** An RGB picture: three bytes a pixel, row by row from the top left. */
export interface RgbImage {
  width: number;
  height: number;
  data: Uint8Array;
}

/** The printed ink of a page apart from what was coloured on it. */
export interface InkOfPage {
  grey: GreyImage;
  /** Share of the page that is coloured already, 0..1. */
  coloured: number;
}

/** Colour is looked for in cells of so many pixels. */
const CELL = 4;
/** A pixel is coloured when its channels differ by so much (of 255) once the paper is white. */
const COLOURED = 38;
/** A cell is coloured when this share of its pixels is, and lies in a patch when so many of the nine around it are. */
const CELL_SHARE = 0.6;
const PATCH_CELLS = 7;
/** How far a coloured pixel is lifted towards paper, by its colourfulness: pencil is colourful where ink is not. */
const LIFT = 1.1;

/**
 * Tells the ink of a part-coloured page from the colour on it. The paper is made white (80th percentile of each
 * channel); where colour lies in patches wider than a line, a pixel counts as dark only as far as its brightest channel
 * is dark and it is not colourful. Coloured outlines, which are no wider than a line, stay ink.
 * @throws RangeError when the data does not hold width x height pixels
 */
export function inkOfPage({ width, height, data }: RgbImage): InkOfPage {
  if (data.length !== 3 * width * height) throw new RangeError('The picture holds fewer pixels than its size says.');
  const white = [0, 1, 2].map((channel) => 255 / Math.max(1, percentile(data, channel, 0.8)));
  const patches = colouredPatches({ width, height, data }, white);
  const across = Math.ceil(width / CELL);
  const grey = new Uint8Array(width * height);
  let coloured = 0;
  for (let y = 0, i = 0; y < height; y++) {
    const row = Math.floor(y / CELL) * across;
    for (let x = 0; x < width; x++, i++) {
      const [r, g, b] = [data[3 * i], data[3 * i + 1], data[3 * i + 2]];
      if (patches[row + Math.floor(x / CELL)]) {
        const [p, q, s] = [r * white[0], g * white[1], b * white[2]];
        const most = Math.max(p, q, s);
        const lifted = most + LIFT * (most - Math.min(p, q, s));
        grey[i] = Math.min(255, lifted / white[1]);
        coloured++;
      } else grey[i] = 0.299 * r + 0.587 * g + 0.114 * b + 0.5;
    }
  }
  return { grey: { width, height, data: grey }, coloured: coloured / grey.length };
}

function percentile(data: Uint8Array, channel: number, share: number): number {
  const histogram = new Uint32Array(256);
  let count = 0;
  for (let i = channel; i < data.length; i += 3 * 11, count++) histogram[data[i]]++;
  let level = 0;
  for (let seen = histogram[0]; seen < share * count && level < 255; seen += histogram[++level]);
  return level;
}

/** Cells that lie in patches of colour, and those around them: 1 a cell, row by row. */
function colouredPatches({ width, height, data }: RgbImage, white: readonly number[]): Uint8Array {
  const [across, down] = [Math.ceil(width / CELL), Math.ceil(height / CELL)];
  const coloured = new Uint8Array(across * down);
  for (let cy = 0; cy < down; cy++) {
    for (let cx = 0; cx < across; cx++) {
      let [hit, all] = [0, 0];
      for (let y = cy * CELL; y < Math.min(height, (cy + 1) * CELL); y++) {
        for (let x = cx * CELL; x < Math.min(width, (cx + 1) * CELL); x++, all++) {
          const i = 3 * (y * width + x);
          const [r, g, b] = [data[i] * white[0], data[i + 1] * white[1], data[i + 2] * white[2]];
          if (Math.max(r, g, b) - Math.min(r, g, b) > COLOURED) hit++;
        }
      }
      if (hit >= CELL_SHARE * all) coloured[cy * across + cx] = 1;
    }
  }
  const inPatch = nearby(coloured, across, down, PATCH_CELLS);
  return nearby(inPatch, across, down, 1);
}

/** Cells of which, with the eight around, at least so many are set. */
function nearby(cells: Uint8Array, across: number, down: number, least: number): Uint8Array {
  return cells.map((_, i) => {
    const [cx, cy] = [i % across, Math.floor(i / across)];
    let count = 0;
    for (let y = Math.max(0, cy - 1); y <= Math.min(down - 1, cy + 1); y++) {
      for (let x = Math.max(0, cx - 1); x <= Math.min(across - 1, cx + 1); x++) count += cells[y * across + x];
    }
    return count >= least ? 1 : 0;
  });
}
