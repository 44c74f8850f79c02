import { median } from 'd3-array';
import { type GreyImage, partTones } from '../lineart/index.ts';
import { type PointPx, type Quad, isConvexQuad } from './quad.ts';

/** The photo is looked at in cells, at most so many along its longer side. */
const CELLS = 360;
/** A page takes up at least this share of the photo. */
const LEAST_SHARE = 0.12;
/** Printed lines up to twice this wide, in cells, do not part the page. */
const LINE_CELLS = 2;
/** Points along the middle part of each side that its line is laid through. */
const SIDE_FROM = 0.12;
const SIDE_TO = 0.88;

/**
 * Finds the four corners of a page that lies on something darker in a photograph.
 *
 * The largest bright area is taken for the page; its points farthest towards the four diagonals are near its corners;
 * a line is laid through the edge between each two of them (least squares), and the lines meet in the corners.
 * @param grey the photograph, upright, 0 black to 255 white
 * @returns corners in pixels, or null when no page stands out from what it lies on
 * @throws RangeError for a picture without pixels
 */
export function findPageCorners(grey: GreyImage): Quad | null {
  if (!(grey.width > 0 && grey.height > 0) || grey.data.length !== grey.width * grey.height) {
    throw new RangeError('The picture has no pixels, or fewer than its size says.');
  }
  const cell = Math.max(1, Math.ceil(Math.max(grey.width, grey.height) / CELLS));
  const cells = brightest(grey, cell);
  const page = largestBright(cells);
  if (!page) return null;
  const rough = towardsDiagonals(page, cells.width, cells.height);
  if (!isConvexQuad(rough)) return null;
  const exact = byLines(rough, page, cells.width, cells.height) ?? rough;
  const quad = exact.map(({ x, y }) => ({
    x: Math.min(grey.width, Math.max(0, x * cell)),
    y: Math.min(grey.height, Math.max(0, y * cell)),
  })) as unknown as Quad;
  return isConvexQuad(quad) ? quad : null;
}

/** The photo in cells, each as bright as its brightest pixels: printed lines vanish, the table does not. */
function brightest({ width, height, data }: GreyImage, cell: number): GreyImage {
  const across = Math.floor(width / cell);
  const down = Math.floor(height / cell);
  const out = new Uint8Array(across * down);
  for (let y = 0; y < down; y++) {
    for (let x = 0; x < across; x++) {
      let most = 0;
      for (let v = y * cell; v < (y + 1) * cell; v++) {
        for (let u = x * cell; u < (x + 1) * cell; u++) if (data[v * width + u]! > most) most = data[v * width + u]!;
      }
      out[y * across + x] = most;
    }
  }
  return { width: across, height: down, data: out };
}

/** The largest connected area on the light side of the level that parts the photo best. */
function largestBright({ width, height, data }: GreyImage): Uint8Array | null {
  const bright = closed(data, partTones(histogramOf(data)).threshold, width, height);
  const part = new Int32Array(data.length);
  let best = { part: 0, size: 0 };
  let parts = 0;
  for (let start = 0; start < data.length; start++) {
    if (part[start] || !bright[start]) continue;
    const reached = [start];
    part[start] = ++parts;
    for (const i of reached) {
      const x = i % width;
      for (const j of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width]) {
        if (j < 0 || j >= data.length || part[j] || !bright[j]) continue;
        part[j] = parts;
        reached.push(j);
      }
    }
    if (reached.length > best.size) best = { part: parts, size: reached.length };
  }
  if (best.size < LEAST_SHARE * data.length || best.size > 0.995 * width * height) return null;
  return Uint8Array.from(part, (value) => (value === best.part ? 1 : 0));
}

/** Bright cells, with dark strips between them no wider than the boldest printed line filled. */
function closed(data: Uint8Array, level: number, width: number, height: number): Uint8Array {
  const bright = Uint8Array.from(data, (value) => (value > level ? 1 : 0));
  const spread = anyNear(bright, 1, width, height);
  // Beside the photo nothing is dark: the page may run out of it.
  return anyNear(spread, 0, width, height);
}

/** Turns every cell to `value` that has a cell of that value within reach across or down, diagonals included. */
function anyNear(cells: Uint8Array, value: 0 | 1, width: number, height: number): Uint8Array {
  const across = cells.slice();
  const both = cells.slice();
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      for (let u = Math.max(0, x - LINE_CELLS); u <= Math.min(width - 1, x + LINE_CELLS); u++) {
        if (cells[y * width + u] === value) across[y * width + x] = value;
      }
    }
  }
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      both[y * width + x] = across[y * width + x]!;
      for (let v = Math.max(0, y - LINE_CELLS); v <= Math.min(height - 1, y + LINE_CELLS); v++) {
        if (across[v * width + x] === value) both[y * width + x] = value;
      }
    }
  }
  return both;
}

function histogramOf(data: Uint8Array): Uint32Array {
  const histogram = new Uint32Array(256);
  for (const value of data) histogram[value]!++;
  return histogram;
}

/** The cells of the page that lie farthest towards the four corners of the photo. */
function towardsDiagonals(page: Uint8Array, width: number, height: number): Quad {
  const far = [-Infinity, -Infinity, -Infinity, -Infinity];
  const corners: PointPx[] = [0, 1, 2, 3].map(() => ({ x: 0, y: 0 }));
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      if (!page[y * width + x]) continue;
      const reach = [-x - y, x - y, x + y, y - x];
      for (let k = 0; k < 4; k++) {
        if (reach[k]! <= far[k]!) continue;
        far[k] = reach[k]!;
        corners[k] = { x: x + (k === 1 || k === 2 ? 1 : 0), y: y + (k >= 2 ? 1 : 0) };
      }
    }
  }
  return corners as unknown as Quad;
}

/** Corners where lines laid through the four edges of the page meet; null where an edge shows too little of itself. */
function byLines(rough: Quad, page: Uint8Array, width: number, height: number): Quad | null {
  const lines = rough.map((from, k) => {
    const to = rough[(k + 1) % 4]!;
    const points = edgePoints(from, to, page, width, height);
    return points.length < 8 ? null : lineThrough(points);
  });
  if (lines.some((line) => !line)) return null;
  const corners = lines.map((line, k) => meet(lines[(k + 3) % 4]!, line!));
  return corners.some((corner) => !corner) ? null : (corners as unknown as Quad);
}

/** Where the page ends, looked for straight across a side from without to within, at points along its middle part. */
function edgePoints(from: PointPx, to: PointPx, page: Uint8Array, width: number, height: number): PointPx[] {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const [ux, uy] = [(to.x - from.x) / length, (to.y - from.y) / length];
  // Going round clockwise, the inside is on the right hand.
  const [nx, ny] = [-uy, ux];
  const reach = Math.max(4, length / 14);
  const points: PointPx[] = [];
  for (let t = SIDE_FROM * length; t <= SIDE_TO * length; t++) {
    for (let d = -reach; d <= reach; d += 0.5) {
      const [x, y] = [from.x + t * ux + d * nx, from.y + t * uy + d * ny];
      const [cx, cy] = [Math.floor(x), Math.floor(y)];
      if (cx < 0 || cy < 0 || cx >= width || cy >= height || !page[cy * width + cx]) continue;
      // Half a step back, and half a cell in: a cell is bright when any part of it is.
      points.push({ x: x + 0.25 * nx, y: y + 0.25 * ny });
      break;
    }
  }
  return points;
}

interface Line {
  x: number;
  y: number;
  dx: number;
  dy: number;
}

/** The line with the least squared distance to points, laid twice: the second time without those that lie far off. */
function lineThrough(points: readonly PointPx[]): Line {
  const first = fitted(points);
  const off = ({ x, y }: PointPx) => Math.abs((x - first.x) * first.dy - (y - first.y) * first.dx);
  const limit = Math.max(0.75, 2.5 * median(points, off)!);
  return fitted(points.filter((point) => off(point) <= limit));
}

function fitted(points: readonly PointPx[]): Line {
  const n = points.length;
  const x = points.reduce((sum, p) => sum + p.x, 0) / n;
  const y = points.reduce((sum, p) => sum + p.y, 0) / n;
  let [xx, yy, xy] = [0, 0, 0];
  for (const p of points) {
    xx += (p.x - x) ** 2;
    yy += (p.y - y) ** 2;
    xy += (p.x - x) * (p.y - y);
  }
  const angle = Math.atan2(2 * xy, xx - yy) / 2;
  return { x, y, dx: Math.cos(angle), dy: Math.sin(angle) };
}

function meet(p: Line, q: Line): PointPx | null {
  const cross = p.dx * q.dy - p.dy * q.dx;
  if (Math.abs(cross) < 0.1) return null;
  const t = ((q.x - p.x) * q.dy - (q.y - p.y) * q.dx) / cross;
  return { x: p.x + t * p.dx, y: p.y + t * p.dy };
}
