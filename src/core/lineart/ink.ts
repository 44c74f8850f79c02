import { type GreyImage, LineArtError } from './images.ts';
import { type Runs, findRuns, joinRuns } from './runs.ts';
import { partTones } from './tones.ts';
import { wordsOf } from './mask-scan.ts';

/** Ink and paper must lie at least this far apart (of 255) for lines to be told from paper. */
const LEAST_CONTRAST = 48;
const MOST_INK = 0.92;
/** Brightness is judged by every so many pixels. */
const SAMPLED = 13;
/** The palest grey of a flattened page that can still be ink, of 255: anything paler is the paper's own grain. */
const PALEST = 242;
/** Paper, however badly lit, is brighter than this on some part of the page. */
const DARKEST_PAPER = 70;

/**
 * Tells ink from paper by one threshold for the whole page.
 * @param palest how pale ink may be: 0 only black, 1 anything darker than paper; 0.5 is where the threshold falls
 * @param into where the answer is written; may be the page's own pixels, which are lost then
 * @returns 1 where there is ink, 0 where there is paper
 * @throws LineArtError when the page is blank or nearly all dark.
 */
export function findInk({ data }: GreyImage, palest = 0.5, into: Uint8Array = new Uint8Array(data.length)): Uint8Array {
  const histogram = histogramOf(data);
  const { threshold, contrast } = partTones(histogram);
  const level = Math.floor(palest < 0.5 ? threshold * 2 * palest : threshold + (PALEST - threshold) * (2 * palest - 1));
  if (contrast < LEAST_CONTRAST) {
    throw new LineArtError(
      'This page is blank: no outline stands out from the paper. Choose a page with printed lines.',
    );
  }
  const dark = histogram.subarray(0, level + 1).reduce((sum, n) => sum + n, 0);
  if (dark * SAMPLED > MOST_INK * data.length) throw allDark();
  return atMost(data, level, into);
}

/** 1 where a byte is no more than a level, 0..254, and 0 elsewhere, four bytes at a time. */
function atMost(data: Uint8Array, level: number, out: Uint8Array): Uint8Array {
  const [words, outWords] = [wordsOf(data), wordsOf(out)];
  // Added to the low seven bits of a byte, this carries into its highest when they exceed those of the level.
  const carry = (0x7f - (level & 0x7f)) * 0x01010101;
  for (let w = 0; w < words.length; w++) {
    const value = words[w]!;
    const low = (value & 0x7f7f7f7f) + carry;
    const above = level < 0x80 ? low | value : low & value;
    outWords[w] = (~above & 0x80808080) >>> 7;
  }
  for (let i = words.length << 2; i < data.length; i++) out[i] = data[i]! <= level ? 1 : 0;
  return out;
}

/**
 * Looks at a page before its light is evened out: afterwards black paper could not be told from white.
 * @throws LineArtError when nearly all of it is dark
 */
export function refuseDarkPage(grey: GreyImage): void {
  if (shareDarker(grey, DARKEST_PAPER) > MOST_INK) throw allDark();
}

/** Share of the pixels that are darker than a level; every thirteenth is looked at. */
function shareDarker({ data }: Pick<GreyImage, 'data'>, level: number): number {
  let dark = 0;
  for (let i = 0; i < data.length; i += SAMPLED) if (data[i]! < level) dark++;
  return (dark * SAMPLED) / data.length;
}

function histogramOf(data: Uint8Array): Uint32Array {
  const histogram = new Uint32Array(256);
  for (let i = 0; i < data.length; i += SAMPLED) histogram[data[i]!]!++;
  return histogram;
}

function allDark(): LineArtError {
  return new LineArtError(
    'This page is almost all dark, so there is no white area to colour. Choose a page of line art.',
  );
}

/**
 * Turns ink specks that fit in a square of `largestPx` pixels into paper, in place. Rings, being larger than their
 * line, stay.
 * @returns the runs of ink that stay, and the connected piece (by edges and corners) that each belongs to
 */
export function dropSpecks(ink: Uint8Array, width: number, height: number, largestPx: number): InkPieces {
  const runs = findRuns(ink, width, height, 1);
  const { of, boxes } = joinRuns(runs, 8);
  const rowStart = new Int32Array(height + 1);
  let n = 0;
  for (let y = 0; y < height; y++) {
    rowStart[y] = n;
    for (let i = runs.rowStart[y]!; i < runs.rowStart[y + 1]!; i++) {
      const b = 4 * of[i]!;
      if (boxes[b + 2]! - boxes[b]! < largestPx && boxes[b + 3]! - boxes[b + 1]! < largestPx) {
        ink.fill(0, y * width + runs.from[i]!, y * width + runs.to[i]! + 1);
        continue;
      }
      runs.from[n] = runs.from[i]!;
      runs.to[n] = runs.to[i]!;
      of[n++] = of[i]!;
    }
  }
  rowStart[height] = n;
  return { runs: { from: runs.from.subarray(0, n), to: runs.to.subarray(0, n), rowStart }, of: of.subarray(0, n) };
}

/** The ink of a page by its connected pieces. */
export interface InkPieces {
  runs: Runs;
  /** Piece of each run; the numbers of pieces may leave some out. */
  of: Int32Array;
}
