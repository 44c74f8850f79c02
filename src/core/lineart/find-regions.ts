import { type Run, checkpoints, quietRun } from '../run/index.ts';
import { type Arc, BORDER_TOLERANCE_PX, ringsOfRegions, traceBorders } from './borders.ts';
import { flattenLight } from './flatten.ts';
import { type OpenGap, closeSureGaps, drawLine } from './gaps/index.ts';
import { LINE_REACH_MM, growLabels, linePixels } from './grow.ts';
import { type GreyImage, LineArtError } from './images.ts';
import { type InkPieces, dropSpecks, findInk, refuseDarkPage } from './ink.ts';
import { findAlike } from './likeness.ts';
import { measureRegions } from './measures.ts';
import { staysOpen } from './mends.ts';
import type { Mend, Border, Doubt, Region, SegmentationOptions } from './schemas.ts';
import { PageIndex } from './page-index/index.ts';
import { NO_REGION } from './region-map.ts';
import { type Parts, type Runs, findRuns, joinRuns } from './runs.ts';
import { measureOutline } from './shapes.ts';

/** What is wished of a page beside its resolution; what is left out is as in the usual finding. */
export interface FindOptions extends Partial<Omit<SegmentationOptions, 'mends'>> {
  /** Resolution of the picture on the real page. */
  pixelsPerMm: number;
  /** Ink specks that fit in a square of this side are taken as paper. Default 0.35 mm. */
  speckMm?: number;
  /** What was mended by hand. Default nothing. */
  mends?: readonly Mend[];
}

const MOST_REGIONS = 65_000;
/** Borders shorter than this are corners that touch, pixels. */
const LEAST_BORDER_PX = 2;

/**
 * Finds the closed white areas of a line-art page and measures them.
 *
 * Light is evened out, ink told from paper, specks dropped, gaps in the outlines closed where that is sure, white
 * parts labelled (4-connected), each measured by its exact distance to ink, and its outline traced along the middle of
 * the lines. White that touches all four edges of the picture is the margin around a drawing and no region.
 * @param grey the page, 0 black to 255 white
 * @throws RangeError for a picture without pixels, a resolution that is not above 0 or a wish out of its range
 * @throws LineArtError when the page is blank, all dark, has no closed area, or has more than 65,000
 * @throws CancelledError when the run is cancelled
 */
export async function findRegions(grey: GreyImage, options: FindOptions, run: Run = quietRun): Promise<PageIndex> {
  const { pixelsPerMm, minRegionMm2 = 0.3, speckMm = 0.35, closeGapMm = 1.1, palestInk, mends = [] } = options;
  const { width, height } = grey;
  if (!(width > 0 && height > 0) || grey.data.length !== width * height) {
    throw new RangeError('The picture has no pixels, or fewer than its size says.');
  }
  if (!(pixelsPerMm > 0))
    throw new RangeError('The page needs a real size above 0 mm before its regions can be measured.');
  if (!(closeGapMm >= 0 && closeGapMm <= 5)) throw new RangeError('Gaps are closed from 0 to 5 mm wide.');
  const size = { width, height, pixelsPerMm };
  const checkpoint = checkpoints(run);

  refuseDarkPage(grey);
  await checkpoint(0.02, 'evening out the light');
  const flat = flattenLight(grey);
  await checkpoint(0.2, 'telling ink from paper');
  const ink = findInk(flat, palestInk, flat.data);
  drawCuts(ink, size, mends);
  const pieces = dropSpecks(ink, width, height, Math.floor(speckMm * pixelsPerMm));
  await checkpoint(0.3, 'looking for gaps in the outlines');
  const gaps = closeGaps(ink, pieces, size, { closeGapMm, minRegionMm2, mends });
  await checkpoint(0.5, 'finding closed areas');
  const runs = findRuns(ink, width, height, 0);
  const { idOf, count, flecks } = keepRegions(runs, joinRuns(runs, 4), size, minRegionMm2, mends);
  const labels = paint(runs, idOf, width, height);
  await checkpoint(0.6, 'measuring widths');
  const white = measureRegions(runs, idOf, size, count);
  await checkpoint(0.75, 'following the outlines');
  const lines = linePixels(labels);
  const grown = growLabels(labels, width, height, Math.ceil(LINE_REACH_MM * pixelsPerMm), lines);
  const arcs = traceBorders(grown, width, height, BORDER_TOLERANCE_PX, lines);
  await checkpoint(0.9, 'comparing shapes');
  const rings = ringsOfRegions(arcs, count);
  const regions = white.map((measured): Region => {
    const own = rings[measured.id]!;
    const { lengthPx, breadthPx, ...outline } = measureOutline(
      own,
      measured.axisDegrees,
      measured.usableWidthMm * pixelsPerMm,
    );
    return { ...measured, ...outline, lengthMm: lengthPx / pixelsPerMm, breadthMm: breadthPx / pixelsPerMm };
  });
  const alike = findAlike(rings);
  run.progress(1, 'done');
  const neighbours = neighboursOf(arcs, pixelsPerMm);
  const doubts = [...gaps, ...flecks];
  return PageIndex.of({ ...size, labels, grown, arcs, regions, neighbours, alike, doubts, seen: null, ink: null });
}

/**
 * Looks whether a page has printed lines and paper at all, without finding its regions.
 * @throws LineArtError when it is blank or nearly all dark
 */
export function checkPage(grey: GreyImage): void {
  refuseDarkPage(grey);
  findInk(flattenLight(grey));
}

interface Size {
  width: number;
  height: number;
  pixelsPerMm: number;
}

/** Inks the lines drawn by hand. */
function drawCuts(ink: Uint8Array, { width, pixelsPerMm }: Size, mends: readonly Mend[]): void {
  const px = (mm: number) => Math.floor(mm * pixelsPerMm);
  for (const mend of mends) {
    if (mend.kind !== 'cut') continue;
    for (let k = 1; k < mend.points.length; k++) {
      const [from, to] = [mend.points[k - 1]!, mend.points[k]!];
      drawLine(ink, width, { fromX: px(from.x), fromY: px(from.y), toX: px(to.x), toY: px(to.y) });
    }
  }
}

/** Inks the sure closings; tells of every gap but those that the person settled. */
function closeGaps(
  ink: Uint8Array,
  pieces: InkPieces,
  { width, height, pixelsPerMm }: Size,
  { closeGapMm, minRegionMm2, mends }: { closeGapMm: number; minRegionMm2: number; mends: readonly Mend[] },
): Doubt[] {
  if (closeGapMm === 0) return [];
  return closeSureGaps(ink, pieces, width, height, {
    widestPx: Math.round(closeGapMm * pixelsPerMm),
    leastPx: Math.ceil(minRegionMm2 * pixelsPerMm ** 2),
    settled: (gap) => {
      const { at } = asDoubt(gap, pixelsPerMm);
      return staysOpen(mends, at.x, at.y);
    },
  }).map((gap) => asDoubt(gap, pixelsPerMm));
}

function asDoubt({ fromX, fromY, toX, toY, gape, sure }: OpenGap, pixelsPerMm: number) {
  const mm = (px: number) => (px + 0.5) / pixelsPerMm;
  return {
    kind: 'gap' as const,
    at: { x: mm((fromX + toX) / 2), y: mm((fromY + toY) / 2) },
    from: { x: mm(fromX), y: mm(fromY) },
    to: { x: mm(toX), y: mm(toY) },
    gapeMm: gape / pixelsPerMm,
    closed: sure,
  };
}

/** Which white parts are regions, and the region of each run. */
function keepRegions(
  runs: Runs,
  { of, count: parts, areas, boxes }: Parts,
  { width, height, pixelsPerMm }: Size,
  minRegionMm2: number,
  mends: readonly Mend[],
) {
  const partAt = partFinder(runs, of, pixelsPerMm);
  const whole = Int32Array.from({ length: parts + 1 }, (_, part) => part);
  const dropped = new Set<number>();
  for (const mend of mends) {
    if (mend.kind === 'drop') dropped.add(partAt(mend.at));
    if (mend.kind !== 'join') continue;
    const [a, b] = [whole[partAt(mend.a)]!, whole[partAt(mend.b)]!];
    if (a === 0 || b === 0) continue;
    const [first, second] = a < b ? [a, b] : [b, a];
    for (let part = 1; part <= parts; part++) if (whole[part] === second) whole[part] = first;
  }
  const idOfPart = new Uint16Array(parts + 1);
  const flecks: Doubt[] = [];
  let count = 0;
  for (let part = 1; part <= parts; part++) {
    if (whole[part] !== part) {
      idOfPart[part] = idOfPart[whole[part]!]!;
      continue;
    }
    idOfPart[part] = NO_REGION;
    const [x0, y0, x1, y1] = [...boxes.subarray(4 * part, 4 * part + 4)] as [number, number, number, number];
    if ((x0 === 0 && y0 === 0 && x1 === width - 1 && y1 === height - 1) || dropped.has(part)) continue;
    const areaMm2 = areas[part]! / pixelsPerMm ** 2;
    if (areaMm2 < minRegionMm2) {
      const at = { x: (x0 + x1 + 1) / 2 / pixelsPerMm, y: (y0 + y1 + 1) / 2 / pixelsPerMm };
      flecks.push({ kind: 'fleck', at, areaMm2 });
      continue;
    }
    if (++count > MOST_REGIONS) {
      throw new LineArtError('More than 65,000 separate areas were found; this looks like a photograph, not line art.');
    }
    idOfPart[part] = count;
  }
  if (count === 0) {
    throw new LineArtError(
      'No closed area was found on this page. Check that the outlines are dark and that they close.',
    );
  }
  const idOf = new Uint16Array(of.length);
  for (let r = 0; r < of.length; r++) idOf[r] = idOfPart[of[r]!]!;
  return { idOf, count, flecks };
}

/** Finds the white part at a point of the page; 0 on ink and beside the page. */
function partFinder({ from, to, rowStart }: Runs, of: Int32Array, pixelsPerMm: number) {
  return ({ x, y }: { x: number; y: number }): number => {
    const [px, py] = [Math.floor(x * pixelsPerMm), Math.floor(y * pixelsPerMm)];
    if (py < 0 || py >= rowStart.length - 1) return 0;
    for (let r = rowStart[py]!; r < rowStart[py + 1]!; r++) if (from[r]! <= px && px <= to[r]!) return of[r]!;
    return 0;
  };
}

function paint({ from, to, rowStart }: Runs, idOf: Uint16Array, width: number, height: number): Uint16Array {
  const labels = new Uint16Array(width * height);
  for (let y = 0; y < height; y++) {
    for (let r = rowStart[y]!; r < rowStart[y + 1]!; r++)
      labels.fill(idOf[r]!, y * width + from[r]!, y * width + to[r]! + 1);
  }
  return labels;
}

/** Which regions touch once grown through the lines, and how much border they share. */
function neighboursOf(arcs: readonly Arc[], pixelsPerMm: number): Border[] {
  const lengths = new Map<number, number>();
  for (const { left, right, lengthPx } of arcs) {
    if (left === 0 || right === 0 || left === NO_REGION || right === NO_REGION) continue;
    const key = Math.min(left, right) * 65_536 + Math.max(left, right);
    lengths.set(key, (lengths.get(key) ?? 0) + lengthPx);
  }
  return [...lengths]
    .filter(([, px]) => px >= LEAST_BORDER_PX)
    .map(([key, px]) => ({ a: Math.floor(key / 65_536), b: key % 65_536, lengthMm: px / pixelsPerMm }))
    .sort((p, q) => p.a - q.a || p.b - q.b);
}
