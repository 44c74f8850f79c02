import { LINEAR_LIGHTS } from '../colour/index.ts';
import { type GreyImage } from './images.ts';
import { paperSurface } from './seen/paper-surface.ts';

/** How much of each pixel is covered by printed ink, and what that ink reflects. */
export interface InkShare {
  width: number;
  height: number;
  /** 0 (paper) to 255 (all ink), row by row from the top left. */
  share: Uint8Array;
  /** What full ink reflects beside the paper around it, 0..1 in linear light. */
  reflects: number;
}

/** Side of the tiles in which the paper is measured, pixels; pixels below this share of a tile's brightest are no paper. */
const TILE = 32;
const PAPER = 0.8;
const BRIGHTEST = 0.02;
/** A tile whose paper lies further than this from the paper around it holds none. */
const STRAY = 0.15;
/** The light over the whole page is read from a picture of about this longest side. */
const LOOKED_AT = 800;
/** Side of the squares in which the paper's level is taken to be one. */
const SQUARE = 8;
/** Full ink is so dark, as a share of all pixels that reflect less than half of what paper does. */
const DARKEST = 0.05;
/** What black ink reflects where a page shows hardly any. */
const BLACK = 0.0115;
/** Ink of more than so many deviations of the paper is ink; of less, only where the nine pixels around hold so much together. */
const SURE = 4;
const TOGETHER = 1.3;
/** Paper varies by no more than this share of its light; what does is printed. */
const MOST_NOISE = 0.1;

/**
 * The share of printed ink in every pixel of a scan or drawing, from what it reflects in linear light: a pixel that a
 * line covers by half reflects half of what the paper does and half of what the ink does (A. Murray, Monochrome
 * reproduction in photoengraving, 1936). The paper is measured all over the page, so that uneven light and a yellowed
 * sheet count as bare; the ink by the darkest lines. What varies as the paper does is no ink.
 * @throws RangeError when the data does not hold width x height pixels
 */
export function inkShareOf({ width, height, data }: GreyImage): InkShare {
  if (data.length !== width * height) throw new RangeError('The picture holds fewer pixels than its size says.');
  const paper = paperLevels({ width, height, data });
  const { deviation, reflects } = measured({ width, height, data }, paper);
  const share = new Uint8Array(data.length);
  const across = Math.ceil(width / SQUARE);
  const known = new Map<number, Uint8Array>();
  const sharesOn = (level: number) => {
    let shares = known.get(level);
    if (!shares) {
      shares = Uint8Array.from({ length: 256 }, (_, code) => {
        const ink = (1 - LINEAR_LIGHTS[code]! / LINEAR_LIGHTS[level]!) / (1 - reflects);
        return Math.round(255 * Math.min(1, Math.max(0, ink)));
      });
      known.set(level, shares);
    }
    return shares;
  };
  for (let sy = 0; sy * SQUARE < height; sy++) {
    for (let sx = 0; sx < across; sx++) {
      const shares = sharesOn(paper[sy * across + sx]!);
      for (let y = sy * SQUARE, end = Math.min(height, y + SQUARE); y < end; y++) {
        const last = y * width + Math.min(width, (sx + 1) * SQUARE);
        for (let i = y * width + sx * SQUARE; i < last; i++) share[i] = shares[data[i]!]!;
      }
    }
  }
  return { width, height, reflects, share: withoutNoise(share, width, 255 * deviation) };
}

/** Ink without what the paper's own grain looks like: pale and alone. */
function withoutNoise(share: Uint8Array, width: number, deviation: number): Uint8Array {
  if (deviation === 0) return share;
  const clean = share.slice();
  for (let i = width + 1; i < share.length - width - 1; i++) {
    if (share[i] === 0 || share[i]! > SURE * deviation) continue;
    let sum = share[i - 1]! + share[i]! + share[i + 1]!;
    sum += share[i - width - 1]! + share[i - width]! + share[i - width + 1]!;
    sum += share[i + width - 1]! + share[i + width]! + share[i + width + 1]!;
    if (sum < 9 * TOGETHER * deviation) clean[i] = 0;
  }
  return clean;
}

/**
 * The same at every so many pixels: the mean of the squares that they stand for, as light is mixed by area.
 * @param step whole pixels, 1 or more
 */
export function coarseInkShare(ink: InkShare, step: number): InkShare {
  if (step <= 1) return ink;
  const [width, height] = [Math.ceil(ink.width / step), Math.ceil(ink.height / step)];
  const sums = new Uint32Array(width * height);
  const counts = new Uint16Array(width * height);
  for (let y = 0, i = 0; y < ink.height; y++) {
    const row = Math.floor(y / step) * width;
    for (let x = 0; x < ink.width; x++, i++) {
      const o = row + Math.floor(x / step);
      sums[o]! += ink.share[i]!;
      counts[o]!++;
    }
  }
  return { width, height, reflects: ink.reflects, share: Uint8Array.from(sums, (sum, o) => sum / counts[o]! + 0.5) };
}

/** The code of the bare paper in each square: the bright part of its tile, or else of the page around. */
function paperLevels({ width, height, data }: GreyImage): Uint8Array {
  const surface = wholeSurface({ width, height, data });
  const [tilesAcross, tilesDown] = [Math.ceil(width / TILE), Math.ceil(height / TILE)];
  const levels = new Float64Array(tilesAcross * tilesDown);
  for (let ty = 0; ty < tilesDown; ty++) {
    for (let tx = 0; tx < tilesAcross; tx++) {
      const whole = surface((tx + 0.5) * TILE, (ty + 0.5) * TILE);
      const bright = paperOf({ width, height, data }, tx * TILE, ty * TILE);
      levels[ty * tilesAcross + tx] = Math.abs(bright / whole - 1) < STRAY ? bright : whole;
    }
  }
  const at = (tx: number, ty: number) =>
    levels[Math.min(tilesDown - 1, Math.max(0, ty)) * tilesAcross + Math.min(tilesAcross - 1, Math.max(0, tx))]!;
  const across = Math.ceil(width / SQUARE);
  return Uint8Array.from({ length: across * Math.ceil(height / SQUARE) }, (_, i) => {
    const x = (((i % across) + 0.5) * SQUARE) / TILE - 0.5;
    const y = ((Math.floor(i / across) + 0.5) * SQUARE) / TILE - 0.5;
    const [tx, ty] = [Math.floor(x), Math.floor(y)];
    const [right, down] = [x - tx, y - ty];
    const upper = at(tx, ty) * (1 - right) + at(tx + 1, ty) * right;
    const lower = at(tx, ty + 1) * (1 - right) + at(tx + 1, ty + 1) * right;
    return Math.min(255, Math.max(1, Math.round(upper * (1 - down) + lower * down)));
  });
}

/** The paper of the whole page, as light and sheet go evenly over it: a few pixels of it are enough. */
function wholeSurface({ width, height, data }: GreyImage): (x: number, y: number) => number {
  const step = Math.max(1, Math.floor(Math.max(width, height) / LOOKED_AT));
  const [across, down] = [Math.ceil(width / step), Math.ceil(height / step)];
  const some = Uint8Array.from(
    { length: across * down },
    (_, i) => data[step * Math.floor(i / across) * width + step * (i % across)]!,
  );
  const surface = paperSurface(some, across, down);
  return (x, y) => surface(x / step, y / step);
}

/** The middle of a tile's paper pixels. */
function paperOf({ width, height, data }: GreyImage, left: number, top: number): number {
  const counts = new Uint16Array(256);
  let all = 0;
  for (let y = top; y < Math.min(height, top + TILE); y += 2) {
    for (let x = left; x < Math.min(width, left + TILE); x += 2, all++) counts[data[y * width + x]!]!++;
  }
  let most = 255;
  for (let above = counts[most]!; above < BRIGHTEST * all; above += counts[--most]!);
  const least = Math.floor(PAPER * most);
  let half = 0;
  for (let code = least; code < 256; code++) half += counts[code]! / 2;
  let level = least;
  for (let below = counts[level]!; below < half; below += counts[++level]!);
  return level;
}

/** How much bare paper varies, and what full ink reflects, beside the paper. */
function measured({ width, height, data }: GreyImage, paper: Uint8Array): { deviation: number; reflects: number } {
  const across = Math.ceil(width / SQUARE);
  const steps = 1024;
  const counts = new Uint32Array(2 * steps);
  for (let y = 0; y < height; y += 2) {
    for (let x = (y >> 1) & 1; x < width; x += 2) {
      const level = paper[Math.floor(y / SQUARE) * across + Math.floor(x / SQUARE)]!;
      counts[
        Math.min(2 * steps - 1, Math.floor((steps * LINEAR_LIGHTS[data[y * width + x]!]!) / LINEAR_LIGHTS[level]!))
      ]!++;
    }
  }
  let dark = 0;
  for (let at = 0; at < steps / 2; at++) dark += counts[at]!;
  let [seen, at] = [0, 0];
  for (; at < steps / 2 && seen < DARKEST * dark; at++) seen += counts[at]!;
  const reflects = dark < 50 ? BLACK : Math.max(0, at - 0.5) / steps;
  // The deviation of paper is read from its darker half, which holds fewer lines the nearer it is to the paper.
  let bare = 0;
  for (let level = Math.floor(PAPER * steps); level < steps; level++) bare += counts[level]!;
  let [within, off] = [0, 0];
  while (off < MOST_NOISE * steps && within < 0.68 * bare) within += counts[steps - 1 - off++]!;
  // A drawing's paper is all of one code, the first that is counted.
  return { deviation: off <= 2 ? 0 : off / steps, reflects };
}
