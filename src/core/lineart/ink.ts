import { type GreyImage, LineArtError } from './images.ts';
import { labelComponents } from './components.ts';

/** Ink and paper must lie at least this far apart (of 255) for lines to be told from paper. */
const LEAST_CONTRAST = 48;
const MOST_INK = 0.92;
/** Paper, however badly lit, is brighter than this on some part of the page. */
const DARKEST_PAPER = 70;

/**
 * Tells ink from paper by one threshold for the whole page. Source: N. Otsu, A threshold selection method from
 * gray-level histograms (1979).
 * @returns 1 where there is ink, 0 where there is paper
 * @throws LineArtError when the page is blank or nearly all dark.
 */
export function findInk({ data }: GreyImage): Uint8Array {
  const histogram = new Float64Array(256);
  for (let i = 0; i < data.length; i++) histogram[data[i]]++;
  const { threshold, contrast } = otsu(histogram, data.length);
  const ink = new Uint8Array(data.length);
  let dark = 0;
  for (let i = 0; i < data.length; i++) if (data[i] <= threshold) dark += ink[i] = 1;
  if (contrast < LEAST_CONTRAST) {
    throw new LineArtError(
      'This page is blank: no outline stands out from the paper. Choose a page with printed lines.',
    );
  }
  if (dark > MOST_INK * data.length) throw allDark();
  return ink;
}

/**
 * Looks at a page before its light is evened out: afterwards black paper could not be told from white.
 * @throws LineArtError when nearly all of it is dark
 */
export function refuseDarkPage({ data }: GreyImage): void {
  let dark = 0;
  for (let i = 0; i < data.length; i++) if (data[i] < DARKEST_PAPER) dark++;
  if (dark > MOST_INK * data.length) throw allDark();
}

function allDark(): LineArtError {
  return new LineArtError(
    'This page is almost all dark, so there is no white area to colour. Choose a page of line art.',
  );
}

function otsu(histogram: Float64Array, total: number): { threshold: number; contrast: number } {
  let sum = 0;
  for (let v = 0; v < 256; v++) sum += v * histogram[v];
  let below = 0;
  let sumBelow = 0;
  let best = { threshold: 127, contrast: 0, spread: -1 };
  for (let v = 0; v < 255; v++) {
    below += histogram[v];
    sumBelow += v * histogram[v];
    const above = total - below;
    if (below === 0 || above === 0) continue;
    const contrast = (sum - sumBelow) / above - sumBelow / below;
    const spread = below * above * contrast * contrast;
    if (spread > best.spread) best = { threshold: v, contrast, spread };
  }
  return best;
}

/** Turns ink specks that fit in a square of `largestPx` pixels into paper, in place. Rings, being larger than their line, stay. */
export function dropSpecks(ink: Uint8Array, width: number, height: number, largestPx: number): void {
  if (largestPx < 1) return;
  const { labels, boxes } = labelComponents(ink, width, height, 1, 8);
  for (let i = 0; i < labels.length; i++) {
    const label = labels[i];
    if (label === 0) continue;
    const b = 4 * label;
    if (boxes[b + 2] - boxes[b] < largestPx && boxes[b + 3] - boxes[b + 1] < largestPx) ink[i] = 0;
  }
}
