import { type GreyImage } from '../lineart/index.ts';
import { type PointPx, type Quad, isConvexQuad, sideLengths } from '../straighten/index.ts';
import { CARD_MM, MARK_MM } from './layout.ts';

/** What is darker than this share of the light around it may be a mark. */
const DARK = 0.55;
/** Light around a place is looked at in squares, so many along the longer side. */
const SQUARES = 24;
const BRIGHT = 0.8;
/** Size of a mark as a share of the picture's longer side, from a card far away to one that fills the picture. */
const LEAST = 0.008;
const MOST = 0.06;
/** Share of its box that a ring and a disc fill, and how far off is taken for one. */
const FILLS = { ring: (Math.PI / 4) * (1 - (MARK_MM.inner / MARK_MM.outer) ** 2), disc: Math.PI / 4 };
const OFF = 0.13;
/** How far a mark may be from round, and marks from alike, in perspective. */
const ROUND = 1.7;
const ALIKE = 1.8;
/** More blobs than this are not tried against each other. */
const MOST_BLOBS = 24;

interface Blob extends PointPx {
  size: number;
  kind: 'ring' | 'disc';
}

/**
 * Finds the corner marks of a swatch card in a photograph or scan, whichever way round it lies.
 * @param grey the picture, 0 black to 255 white
 * @returns middles of its marks in pixels, clockwise from the card's top left, or null where none stands out
 * @throws RangeError for a picture without pixels
 */
export function findCard(grey: GreyImage): Quad | null {
  if (!(grey.width > 0 && grey.height > 0) || grey.data.length !== grey.width * grey.height) {
    throw new RangeError('The picture has no pixels, or fewer than its size says.');
  }
  const blobs = roundBlobs(grey)
    .sort((p, q) => q.size - p.size)
    .slice(0, MOST_BLOBS);
  const rings = blobs.filter(({ kind }) => kind === 'ring');
  let best: { quad: Quad; area: number } | null = null;
  for (const disc of blobs.filter(({ kind }) => kind === 'disc')) {
    for (const [a, b, c] of threes(rings)) {
      const sizes = [disc, a, b, c].map(({ size }) => size);
      if (Math.max(...sizes) > ALIKE * Math.min(...sizes)) continue;
      const quad = clockwiseFrom(disc, [a, b, c]);
      if (!isConvexQuad(quad) || !likeCard(quad)) continue;
      const area = areaOf(quad);
      if (!best || area > best.area) best = { quad, area };
    }
  }
  return best && best.quad;
}

/** Dark blobs as large and as round as marks, each a ring with a bright middle or a disc. */
function roundBlobs(grey: GreyImage): Blob[] {
  const { width, height, data } = grey;
  const dark = darkerThanAround(grey);
  const longest = Math.max(width, height);
  const seen = new Uint8Array(data.length);
  const blobs: Blob[] = [];
  for (let start = 0; start < dark.length; start++) {
    if (!dark[start] || seen[start]) continue;
    seen[start] = 1;
    const reached = [start];
    let [left, right, top, bottom, sumX, sumY] = [width, 0, height, 0, 0, 0];
    for (const i of reached) {
      const [x, y] = [i % width, Math.floor(i / width)];
      left = Math.min(left, x);
      right = Math.max(right, x);
      top = Math.min(top, y);
      bottom = Math.max(bottom, y);
      sumX += x;
      sumY += y;
      for (const j of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width]) {
        if (j < 0 || j >= dark.length || !dark[j] || seen[j]) continue;
        seen[j] = 1;
        reached.push(j);
      }
    }
    const [across, down] = [right - left + 1, bottom - top + 1];
    const size = Math.sqrt(across * down);
    if (size < LEAST * longest || size > MOST * longest) continue;
    if (Math.max(across, down) > ROUND * Math.min(across, down)) continue;
    const [x, y] = [sumX / reached.length, sumY / reached.length];
    const fill = reached.length / (across * down);
    const bright = !dark[Math.round(y) * width + Math.round(x)];
    if (bright && Math.abs(fill - FILLS.ring) < OFF) blobs.push({ x: x + 0.5, y: y + 0.5, size, kind: 'ring' });
    if (!bright && Math.abs(fill - FILLS.disc) < OFF) blobs.push({ x: x + 0.5, y: y + 0.5, size, kind: 'disc' });
  }
  return blobs;
}

/** Pixels that are much darker than the bright ones around them: lamps and shadows do not matter. */
function darkerThanAround({ width, height, data }: GreyImage): Uint8Array {
  const side = Math.ceil(Math.max(width, height) / SQUARES);
  const [across, down] = [Math.ceil(width / side), Math.ceil(height / side)];
  const light = new Float64Array(across * down);
  for (let v = 0; v < down; v++) {
    for (let u = 0; u < across; u++) light[v * across + u] = brightIn(data, width, height, u * side, v * side, side);
  }
  const dark = new Uint8Array(data.length);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const around = light[Math.floor(y / side) * across + Math.floor(x / side)]!;
      if (data[y * width + x]! < DARK * around) dark[y * width + x] = 1;
    }
  }
  return dark;
}

/** How bright the brighter pixels of a square are. */
function brightIn(data: Uint8Array, width: number, height: number, left: number, top: number, side: number): number {
  const counts = new Uint32Array(256);
  let all = 0;
  for (let y = top; y < Math.min(height, top + side); y++) {
    for (let x = left; x < Math.min(width, left + side); x++, all++) counts[data[y * width + x]!]!++;
  }
  let below = 0;
  for (let value = 0; value < 256; value++) {
    below += counts[value]!;
    if (below >= BRIGHT * all) return value;
  }
  return 255;
}

function threes<T>(all: readonly T[]): (readonly [T, T, T])[] {
  return all.flatMap((a, i) => all.slice(i + 1).flatMap((b, j) => all.slice(i + j + 2).map((c) => [a, b, c] as const)));
}

/** The first corner, then the others in the order in which they lie clockwise round the middle of all. */
function clockwiseFrom(first: PointPx, others: readonly PointPx[]): Quad {
  const all = [first, ...others];
  const [mx, my] = [all.reduce((sum, { x }) => sum + x, 0) / 4, all.reduce((sum, { y }) => sum + y, 0) / 4];
  const angle = ({ x, y }: PointPx) => Math.atan2(y - my, x - mx);
  const from = angle(first);
  const turned = (point: PointPx) => (angle(point) - from + 4 * Math.PI) % (2 * Math.PI);
  const inTurn = [...others].sort((p, q) => turned(p) - turned(q));
  return [first, ...inTurn].map(({ x, y }) => ({ x, y })) as unknown as Quad;
}

/** Whether four corners may be those of a card: as high beside its width as cards are, give or take perspective. */
function likeCard(quad: Quad): boolean {
  const { width, height } = sideLengths(quad);
  const ratio = height / width / (CARD_MM.height / CARD_MM.width);
  return ratio > 0.72 && ratio < 1.4;
}

function areaOf(quad: Quad): number {
  return Math.abs(quad.reduce((sum, { x, y }, i) => sum + x * quad[(i + 1) % 4]!.y - quad[(i + 1) % 4]!.x * y, 0) / 2);
}
