import { type Run, breather, quietRun } from '../run/index.ts';
import { type Components, labelComponents } from './components.ts';
import { distanceTo } from './distance.ts';
import { flattenLight } from './flatten.ts';
import { growLabels } from './grow.ts';
import { type GreyImage, LineArtError } from './images.ts';
import { dropSpecks, findInk, refuseDarkPage } from './ink.ts';
import { measureRegions } from './measures.ts';
import { findNeighbours } from './neighbours.ts';
import { type Doubt, NO_REGION, type RegionMap } from './region-map.ts';

export interface FindOptions {
  /** Resolution of the picture on the real page. */
  pixelsPerMm: number;
  /** White areas smaller than this are left out and listed as doubts. Default 0.3 mm2. */
  minRegionMm2?: number;
  /** Ink specks that fit in a square of this side are taken as paper. Default 0.35 mm. */
  speckMm?: number;
}

/** Lines wider than twice this are solid black shapes, mm. */
export const LINE_REACH_MM = 2;
const MOST_REGIONS = 65_000;

/**
 * Finds the closed white areas of a line-art page and measures them.
 *
 * Light is evened out, ink told from paper, specks dropped, white parts labelled (4-connected), and each measured by
 * its exact distance to ink. White that touches all four edges of the picture is the margin around a drawing and no
 * region.
 * @param grey the page, 0 black to 255 white
 * @throws RangeError for a picture without pixels or a resolution that is not above 0
 * @throws LineArtError when the page is blank, all dark, has no closed area, or has more than 65,000
 * @throws CancelledError when the run is cancelled
 */
export async function findRegions(grey: GreyImage, options: FindOptions, run: Run = quietRun): Promise<RegionMap> {
  const { pixelsPerMm, minRegionMm2 = 0.3, speckMm = 0.35 } = options;
  const { width, height } = grey;
  if (!(width > 0 && height > 0) || grey.data.length !== width * height) {
    throw new RangeError('The picture has no pixels, or fewer than its size says.');
  }
  if (!(pixelsPerMm > 0))
    throw new RangeError('The page needs a real size above 0 mm before its regions can be measured.');
  const breathe = breather(run);

  refuseDarkPage(grey);
  await breathe(0.02, 'evening out the light');
  const flat = flattenLight(grey);
  await breathe(0.2, 'telling ink from paper');
  const ink = findInk(flat);
  dropSpecks(ink, width, height, Math.floor(speckMm * pixelsPerMm));
  await breathe(0.4, 'finding closed areas');
  const parts = labelComponents(ink, width, height, 0, 4);
  const { labels, count, doubts } = keepRegions(parts, width, height, pixelsPerMm, minRegionMm2);
  await breathe(0.55, 'measuring widths');
  const distance = distanceTo(ink, width, height);
  await breathe(0.75, 'measuring areas');
  const size = { width, height, pixelsPerMm };
  const regions = measureRegions(labels, distance, size, count);
  await breathe(0.85, 'finding neighbours');
  const grown = growLabels(labels, width, height, Math.ceil(LINE_REACH_MM * pixelsPerMm));
  const neighbours = findNeighbours(grown, size, 2 / pixelsPerMm);
  run.progress(1, 'done');
  return { width, height, pixelsPerMm, labels, regions, neighbours, doubts };
}

/**
 * Looks whether a page has printed lines and paper at all, without finding its regions.
 * @throws LineArtError when it is blank or nearly all dark
 */
export function checkPage(grey: GreyImage): void {
  refuseDarkPage(grey);
  findInk(flattenLight(grey));
}

function keepRegions(parts: Components, width: number, height: number, pixelsPerMm: number, minRegionMm2: number) {
  const { boxes, areas, labels: all } = parts;
  const idOf = new Uint16Array(parts.count + 1).fill(NO_REGION, 1);
  const doubts: Doubt[] = [];
  let count = 0;
  for (let label = 1; label <= parts.count; label++) {
    const [x0, y0, x1, y1] = boxes.subarray(4 * label, 4 * label + 4);
    if (x0 === 0 && y0 === 0 && x1 === width - 1 && y1 === height - 1) continue;
    const areaMm2 = areas[label] / pixelsPerMm ** 2;
    if (areaMm2 < minRegionMm2) {
      const at = { x: (x0 + x1 + 1) / 2 / pixelsPerMm, y: (y0 + y1 + 1) / 2 / pixelsPerMm };
      doubts.push({ kind: 'fleck', at, areaMm2 });
      continue;
    }
    if (++count > MOST_REGIONS) {
      throw new LineArtError('More than 65,000 separate areas were found; this looks like a photograph, not line art.');
    }
    idOf[label] = count;
  }
  if (count === 0) {
    throw new LineArtError(
      'No closed area was found on this page. Check that the outlines are dark and that they close.',
    );
  }
  const labels = new Uint16Array(all.length);
  for (let i = 0; i < all.length; i++) labels[i] = idOf[all[i]];
  return { labels, count, doubts };
}
