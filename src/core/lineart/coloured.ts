import { quantileSorted } from 'd3-array';
import { type GreyImage, lumaOf } from './images.ts';
import { paperSurface } from './seen/paper-surface.ts';

/** An RGB picture: three bytes a pixel, row by row from the top left. */
export interface RgbImage {
  width: number;
  height: number;
  data: Uint8Array;
}

/** The printed ink of a page apart from what was coloured on it and from greys printed under it. */
export interface InkOfPage {
  grey: GreyImage;
  /** Share of the page that is coloured already, 0..1. */
  coloured: number;
  /** Share of the page that has an even grey printed under its lines, 0..1. */
  toned: number;
}

/** Paper is taken to be brighter than this share of the pixels of each channel. */
const PAPER_RANK = 0.8;
/** Every so manyth pixel is looked at for that. */
const SAMPLED = 11;
/**
 * Brightness of the brightest but for gleams. Paper is within so much of that in each channel; a toned card on white glass is
 * not, but it is most of the picture, of one colour, and not so dark that no line would show on it. What is left bare between
 * colours is so bright.
 */
const BRIGHTEST_RANK = 0.985;
const ALIKE = 18;
const DARKEST_PAPER = 0.5;
const LEFT_BETWEEN = 0.94;
/** Colour is looked for in cells of so many pixels. */
const CELL = 4;
/** A pixel is coloured when its channels differ by so much (of 255) once the paper is white. */
const COLOURED = 38;
/** A cell is coloured when this share of its pixels is, and lies in a patch when so many of the nine around it are. */
const CELL_SHARE = 0.6;
const PATCH_CELLS = 7;
/** An even grey lies between these shares of the paper's brightness, and varies in a cell by no more than that. */
const TONED = [0.3, 0.94];
const TONE_VARIES = 0.2;
/** It is a patch where so many of the 25 cells around are grey: wider than any line. */
const TONED_CELLS = 20;
/** How far a coloured pixel is lifted towards paper, by its colourfulness: pencil is colourful where ink is not. */
const LIFT = 1.1;

/**
 * Tells the ink of a part-coloured page from the colour on it. The paper is made white (80th percentile of each
 * channel, or what is left of it between the colours of a page that is coloured for the most part); where colour lies in patches wider than a line, a pixel counts as dark only as far as its brightest channel
 * is dark and it is not colourful. Where an even grey lies in such patches, it counts as
 * paper, and ink on it as dark as it is beside that grey. Coloured or grey outlines, no wider than a line, stay ink.
 * @throws RangeError when the data does not hold width x height pixels
 */
export function inkOfPage({ width, height, data }: RgbImage): InkOfPage {
  if (data.length !== 3 * width * height) throw new RangeError('The picture holds fewer pixels than its size says.');
  const white = paperOf(data).level.map((level) => 255 / Math.max(1, level));
  const patches = colouredPatches({ width, height, data }, white);
  const tones = tonedPatches({ width, height, data });
  const across = Math.ceil(width / CELL);
  const grey = new Uint8Array(width * height);
  let [coloured, toned] = [0, 0];
  for (let y = 0, i = 0; y < height; y++) {
    const row = Math.floor(y / CELL) * across;
    for (let x = 0; x < width; x++, i++) {
      const [r, g, b] = [data[3 * i]!, data[3 * i + 1]!, data[3 * i + 2]!];
      const cell = row + Math.floor(x / CELL);
      if (patches[cell]) {
        const [p, q, s] = [r * white[0]!, g * white[1]!, b * white[2]!];
        const most = Math.max(p, q, s);
        const lifted = most + LIFT * (most - Math.min(p, q, s));
        grey[i] = Math.min(255, lifted / white[1]!);
        coloured++;
        continue;
      }
      const light = lumaOf(r, g, b);
      if (tones[cell]! > 0) {
        // The paper's own brightness there, so that lifting leaves the light of the page as it is.
        grey[i] = Math.min(255, light / tones[cell]!);
        toned++;
      } else grey[i] = light + 0.5;
    }
  }
  return { grey: { width, height, data: grey }, coloured: coloured / grey.length, toned: toned / grey.length };
}

/**
 * The paper's own red, green and blue, 0..255. What most of a page is, is its paper, white or toned; but where what is
 * brighter is left between many colours, or round one that is too dark for a paper with lines on it, that is the paper.
 * @returns whether it is only what is left between colours, so that the light of the page cannot be read from it
 */
export function paperOf(data: Uint8Array): { level: [number, number, number]; isLeftBetween: boolean } {
  const lights: number[] = [];
  for (let i = 0; i + 2 < data.length; i += 3 * SAMPLED) lights.push(lumaOf(data[i]!, data[i + 1]!, data[i + 2]!));
  const most = [0, 1, 2].map((channel) => percentile(data, channel, PAPER_RANK)) as [number, number, number];
  const brightest = quantileSorted(
    [...lights].sort((p, q) => p - q),
    BRIGHTEST_RANK,
  )!;
  const sums = [0, 0, 0] as [number, number, number];
  let [left, alike] = [0, 0];
  for (let k = 0, i = 0; k < lights.length; k++, i += 3 * SAMPLED) {
    if (most.every((level, channel) => Math.abs(level - data[i + channel]!) < ALIKE)) alike++;
    if (lights[k]! < LEFT_BETWEEN * brightest) continue;
    for (let channel = 0; channel < 3; channel++) sums[channel]! += data[i + channel]!;
    left++;
  }
  const bright = sums.map((sum) => sum / Math.max(1, left)) as [number, number, number];
  const isBright = most.every((level, channel) => Math.abs(level - bright[channel]!) < ALIKE);
  const isToned = alike >= lights.length / 2 && lumaOf(...most) >= DARKEST_PAPER * brightest;
  return isBright || isToned ? { level: most, isLeftBetween: false } : { level: bright, isLeftBetween: true };
}

function percentile(data: Uint8Array, channel: number, share: number): number {
  const histogram = new Uint32Array(256);
  let count = 0;
  for (let i = channel; i < data.length; i += 3 * SAMPLED, count++) histogram[data[i]!]!++;
  let level = 0;
  for (let seen = histogram[0]!; seen < share * count && level < 255; seen += histogram[++level]!);
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
          const [r, g, b] = [data[i]! * white[0]!, data[i + 1]! * white[1]!, data[i + 2]! * white[2]!];
          if (Math.max(r, g, b) - Math.min(r, g, b) > COLOURED) hit++;
        }
      }
      if (hit >= CELL_SHARE * all) coloured[cy * across + cx] = 1;
    }
  }
  const inPatch = nearby(coloured, across, down, PATCH_CELLS);
  return nearby(inPatch, across, down, 1);
}

/**
 * For each cell in a patch of even grey, or on the edge of one, how bright that grey is as a share of the bare paper
 * there; 0 for all others.
 */
function tonedPatches({ width, height, data }: RgbImage): Float32Array {
  const light = new Uint8Array(width * height);
  for (let i = 0; i < light.length; i++) light[i] = lumaOf(data[3 * i]!, data[3 * i + 1]!, data[3 * i + 2]!) + 0.5;
  const surface = paperSurface(light, width, height);
  const [across, down] = [Math.ceil(width / CELL), Math.ceil(height / CELL)];
  const share = new Float32Array(across * down);
  for (let cy = 0; cy < down; cy++) {
    for (let cx = 0; cx < across; cx++) {
      let [least, most] = [255, 0];
      for (let y = cy * CELL; y < Math.min(height, (cy + 1) * CELL); y++) {
        for (let i = y * width + cx * CELL, end = y * width + Math.min(width, (cx + 1) * CELL); i < end; i++) {
          if (light[i]! < least) least = light[i]!;
          if (light[i]! > most) most = light[i]!;
        }
      }
      const paper = surface((cx + 0.5) * CELL, (cy + 0.5) * CELL);
      const even = most - least < TONE_VARIES * paper && least > TONED[0]! * paper && most < TONED[1]! * paper;
      if (even) share[cy * across + cx] = most / paper;
    }
  }
  const spread = (reach: number, at: number, of: (cell: number) => void) => {
    const [cx, cy] = [at % across, Math.floor(at / across)];
    for (let y = Math.max(0, cy - reach); y <= Math.min(down - 1, cy + reach); y++)
      for (let x = Math.max(0, cx - reach); x <= Math.min(across - 1, cx + reach); x++) of(y * across + x);
  };
  const patches = new Float32Array(share.length);
  for (let at = 0; at < share.length; at++) {
    if (share[at] === 0) continue;
    let grey = 0;
    spread(2, at, (cell) => (grey += +(share[cell]! > 0)));
    // What lies round a patch has its edge in it, and lines that run through.
    if (grey >= TONED_CELLS) spread(2, at, (cell) => (patches[cell] = Math.max(patches[cell]!, share[at]!)));
  }
  return patches;
}

/** Cells of which, with the eight around, at least so many are set. */
function nearby(cells: Uint8Array, across: number, down: number, least: number): Uint8Array {
  return cells.map((_, i) => {
    const [cx, cy] = [i % across, Math.floor(i / across)];
    let count = 0;
    for (let y = Math.max(0, cy - 1); y <= Math.min(down - 1, cy + 1); y++) {
      for (let x = Math.max(0, cx - 1); x <= Math.min(across - 1, cx + 1); x++) count += cells[y * across + x]!;
    }
    return count >= least ? 1 : 0;
  });
}
