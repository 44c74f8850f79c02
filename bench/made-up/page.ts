import { type GreyImage } from '../../src/core/lineart/index.ts';
import { seededRandom } from '../../src/core/random/index.ts';
import { type Cells, gridOfCells, rosettes } from './cells.ts';
import { type MadeUp } from './wish.ts';

/** A place where an outline was left open between two true regions. */
export interface Gap {
  x: number;
  y: number;
  /** How wide it gapes, pixels. */
  width: number;
  between: readonly [number, number];
}

/** A page with what is true of it. */
export interface MadeUpPage {
  grey: GreyImage;
  pixelsPerMm: number;
  /** True region of each white pixel as it would be with every outline closed and no texture; 0 on lines. */
  truth: Uint16Array;
  count: number;
  gaps: Gap[];
}

const PAPER = 246;
const MARGIN = 60;
/** White parts smaller than this are flecks, not regions. */
const LEAST_MM2 = 0.3;

/**
 * Draws a page of cells, petals, scales and rings with soft-edged lines of varying weight, then leaves gaps and adds
 * texture as asked.
 */
export function madeUpPage(wish: MadeUp): MadeUpPage {
  const { width, height, seed, pixelsPerMm } = wish;
  const random = seededRandom(seed);
  const cells = gridOfCells(wish, MARGIN, random);
  const motifs = rosettes(wish, MARGIN, cells.pitch, random);
  const lines = new Uint8Array(width * height);
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      const motif = motifs.find(({ cx, cy, r }) => (x - cx) ** 2 + (y - cy) ** 2 <= (r + 4) ** 2);
      const inside = motif && Math.hypot(x - motif.cx, y - motif.cy) <= motif.r;
      const toLine = Math.min(motif?.toLine(x, y) ?? Infinity, inside ? Infinity : cells.toLine(x, y));
      lines[i] = 255 * Math.min(1, Math.max(0, cells.halfWidth(x, y) + 0.5 - toLine));
    }
  }
  const { truth, count } = whiteParts(lines, width, LEAST_MM2 * pixelsPerMm ** 2);
  const gaps = wish.gaps ? leaveGaps(wish.gaps * count, lines, truth, { width, height }, random) : [];
  if (wish.texture) addTexture(wish.texture, cells, lines, truth, { width, height }, random);
  const ink = wish.ink ?? 20;
  const data = new Uint8Array(lines.length);
  for (let i = 0; i < data.length; i++) data[i] = PAPER - ((PAPER - ink) * lines[i]) / 255;
  return { grey: { width, height, data }, pixelsPerMm, truth, count, gaps };
}

/** The closed white parts of the drawing, by flood fill: slow and sure. The margin, the first part, is none. */
function whiteParts(lines: Uint8Array, width: number, leastPx: number) {
  const truth = new Uint16Array(lines.length);
  const seen = new Uint8Array(lines.length);
  const reached = new Int32Array(lines.length);
  let count = 0;
  for (let start = 0; start < lines.length; start++) {
    if (seen[start] || lines[start] >= 128) continue;
    let size = 0;
    reached[size++] = start;
    seen[start] = 1;
    for (let at = 0; at < size; at++) {
      const i = reached[at];
      const x = i % width;
      for (const j of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width]) {
        if (j < 0 || j >= lines.length || seen[j] || lines[j] >= 128) continue;
        seen[j] = 1;
        reached[size++] = j;
      }
    }
    if (start === 0 || size < leastPx) continue;
    count++;
    for (let at = 0; at < size; at++) truth[reached[at]] = count;
  }
  return { truth, count };
}

/** Rubs out short pieces of lines that two regions share: three in four in mid line, one in four where lines meet. */
function leaveGaps(
  wanted: number,
  lines: Uint8Array,
  truth: Uint16Array,
  { width, height }: { width: number; height: number },
  random: () => number,
): Gap[] {
  const gaps: Gap[] = [];
  for (let tries = 0; gaps.length < wanted && tries < 400 * wanted; tries++) {
    const x = Math.floor(MARGIN + 20 + random() * (width - 2 * MARGIN - 40));
    const y = Math.floor(MARGIN + 20 + random() * (height - 2 * MARGIN - 40));
    if (lines[y * width + x] < 250) continue;
    const across = crossing(truth, width, x, y);
    if (!across) continue;
    const near = around(truth, width, x, y, 16);
    const meets = near.size > 2;
    if (meets !== gaps.length % 4 > 2) continue;
    if (gaps.some((gap) => Math.hypot(gap.x - x, gap.y - y) < 60)) continue;
    const gape = 2 + Math.floor(random() * 11);
    const { nx, ny, between, thick } = across;
    for (let v = -16; v <= 16; v++) {
      for (let u = -16; u <= 16; u++) {
        const along = -u * ny + v * nx;
        const over = u * nx + v * ny;
        if (Math.abs(along) <= gape / 2 && Math.abs(over) <= thick / 2 + 2) lines[(y + v) * width + x + u] = 0;
      }
    }
    gaps.push({ x, y, width: gape, between });
  }
  return gaps;
}

/** The direction straight across the line at a point, its thickness and the two regions it parts; null where unclear. */
function crossing(truth: Uint16Array, width: number, x: number, y: number) {
  let best: { nx: number; ny: number; thick: number; between: [number, number] } | null = null;
  for (let k = 0; k < 16; k++) {
    const [nx, ny] = [Math.cos((k * Math.PI) / 16), Math.sin((k * Math.PI) / 16)];
    const reach = (sign: number) => {
      for (let t = 1; t < 10; t++) {
        const label = truth[Math.round(y + sign * t * ny) * width + Math.round(x + sign * t * nx)];
        if (label) return { t, label };
      }
      return null;
    };
    const [one, other] = [reach(-1), reach(1)];
    if (!one || !other || one.label === other.label) continue;
    const thick = one.t + other.t - 1;
    if (!best || thick < best.thick) best = { nx, ny, thick, between: [one.label, other.label] };
  }
  return best;
}

function around(truth: Uint16Array, width: number, x: number, y: number, r: number): Set<number> {
  const labels = new Set<number>();
  for (let v = -r; v <= r; v += 2) for (let u = -r; u <= r; u += 2) labels.add(truth[(y + v) * width + x + u]);
  labels.delete(0);
  return labels;
}

/** Dots in some regions and strokes in others; half of the strokes start on an outline and stop short of the next. */
function addTexture(
  share: number,
  cells: Cells,
  lines: Uint8Array,
  truth: Uint16Array,
  { width, height }: { width: number; height: number },
  random: () => number,
): void {
  for (const { x: sx, y: sy } of cells.sites) {
    if (random() > share) continue;
    const home = truth[Math.round(sy) * width + Math.round(sx)];
    if (!home) continue;
    const dots = random() < 0.5;
    const lean = random() * Math.PI;
    for (let k = 0; k < 9; k++) {
      const x = sx + (random() - 0.5) * cells.pitch * 0.8;
      const y = sy + (random() - 0.5) * cells.pitch * 0.8;
      if (dots) stroke(x, y, x, y, 0.8 + random());
      else {
        const long = cells.pitch * (0.08 + 0.22 * random());
        stroke(x, y, x + long * Math.cos(lean), y + long * Math.sin(lean), 0.9 + 0.3 * random());
      }
    }
    /** Inks a stroke as far as it stays in its region or on the outline where it began. */
    function stroke(x0: number, y0: number, x1: number, y1: number, half: number) {
      const steps = Math.ceil(2 * Math.hypot(x1 - x0, y1 - y0)) + 1;
      for (let s = 0; s < steps; s++) {
        const [px, py] = [x0 + ((x1 - x0) * s) / steps, y0 + ((y1 - y0) * s) / steps];
        for (let v = -3; v <= 3; v++) {
          for (let u = -3; u <= 3; u++) {
            const [qx, qy] = [Math.round(px) + u, Math.round(py) + v];
            if (qx < 0 || qy < 0 || qx >= width || qy >= height || truth[qy * width + qx] !== home) continue;
            if (s > 2 && truth[qy * width + qx] === 0) return;
            const cover = 255 * Math.min(1, Math.max(0, half + 0.5 - Math.hypot(qx - px, qy - py)));
            const i = qy * width + qx;
            if (cover > lines[i]) lines[i] = cover;
          }
        }
      }
    }
  }
}
