import { type GreyImage, LineArtError } from './images.ts';
import { findRuns, joinRuns } from './runs.ts';
import { partTones } from './tones.ts';

/** Ink and paper must lie at least this far apart (of 255) for lines to be told from paper. */
const LEAST_CONTRAST = 48;
const MOST_INK = 0.92;
/** Brightness is judged by every so many pixels. */
const SAMPLED = 5;
/** The palest grey of a flattened page that can still be ink, of 255: anything paler is the paper's own grain. */
const PALEST = 242;
/** Paper, however badly lit, is brighter than this on some part of the page. */
const DARKEST_PAPER = 70;

/**
 * Tells ink from paper by one threshold for the whole page.
 * @param palest how pale ink may be: 0 only black, 1 anything darker than paper; 0.5 is where the threshold falls
 * @returns 1 where there is ink, 0 where there is paper
 * @throws LineArtError when the page is blank or nearly all dark.
 */
export function findInk({ data }: GreyImage, palest = 0.5): Uint8Array {
  const { threshold, contrast } = partTones(histogramOf(data));
  const level = palest < 0.5 ? threshold * 2 * palest : threshold + (PALEST - threshold) * (2 * palest - 1);
  const ink = new Uint8Array(data.length);
  for (let i = 0; i < data.length; i++) ink[i] = data[i] <= level ? 1 : 0;
  if (contrast < LEAST_CONTRAST) {
    throw new LineArtError(
      'This page is blank: no outline stands out from the paper. Choose a page with printed lines.',
    );
  }
  if (shareDarker({ data }, level + 1) > MOST_INK) throw allDark();
  return ink;
}

/**
 * Looks at a page before its light is evened out: afterwards black paper could not be told from white.
 * @throws LineArtError when nearly all of it is dark
 */
export function refuseDarkPage(grey: GreyImage): void {
  if (shareDarker(grey, DARKEST_PAPER) > MOST_INK) throw allDark();
}

/** Share of the pixels that are darker than a level; every fifth is looked at. */
function shareDarker({ data }: Pick<GreyImage, 'data'>, level: number): number {
  let dark = 0;
  for (let i = 0; i < data.length; i += SAMPLED) if (data[i] < level) dark++;
  return (dark * SAMPLED) / data.length;
}

function histogramOf(data: Uint8Array): Uint32Array {
  const histogram = new Uint32Array(256);
  for (let i = 0; i < data.length; i += SAMPLED) histogram[data[i]]++;
  return histogram;
}

function allDark(): LineArtError {
  return new LineArtError(
    'This page is almost all dark, so there is no white area to colour. Choose a page of line art.',
  );
}

/** Turns ink specks that fit in a square of `largestPx` pixels into paper, in place. Rings, being larger than their line, stay. */
export function dropSpecks(ink: Uint8Array, width: number, height: number, largestPx: number): void {
  if (largestPx < 1) return;
  const runs = findRuns(ink, width, height, 1);
  const { of, boxes } = joinRuns(runs, 8);
  for (let y = 0; y < height; y++) {
    for (let i = runs.rowStart[y]; i < runs.rowStart[y + 1]; i++) {
      const b = 4 * of[i];
      if (boxes[b + 2] - boxes[b] >= largestPx || boxes[b + 3] - boxes[b + 1] >= largestPx) continue;
      ink.fill(0, y * width + runs.from[i], y * width + runs.to[i] + 1);
    }
  }
}
