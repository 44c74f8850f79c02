import { median } from 'd3-array';
import { type InkPieces } from '../ink.ts';
import { allSet } from '../mask-scan.ts';
import { thin } from './thin.ts';
import { type Tip, findTips, thickness } from './tips.ts';

/** A gap in an outline and the line that would close it. Pixels. */
export interface OpenGap {
  fromX: number;
  fromY: number;
  toX: number;
  toY: number;
  /** White between the two ends. */
  gape: number;
  /** Sure gaps are closed unasked. */
  sure: boolean;
}

/** Half the angle within which an end looks for what it would meet, degrees. */
const CONE = 40;
const STEP = 5;
/** Both ends of a gap lie on whole pixels, which may make it so much wider. */
const ROUNDED_PX = 1;
/** Close ends that point against each other within this angle are one line, degrees. */
const FACING = 50;
/** A stroke thinner than this share of the page's usual line is taken for the artist's texture, not for an outline. */
const OUTLINE_THICK = 0.6;
/** A stroke that hangs on nothing has to be as thick as this to be a piece of an outline. */
const LOOSE_THICK = 0.9;
/** A closing that cuts off less than so many of the smallest regions is asked about, however sure it looks. */
const SURE_TIMES = 7;
/** A line surely meant to meet what lies ahead over a gap this many times as wide as it is thick, or as it is long. */
const REACH_THICK = 4;
const REACH_LENGTH = 2.5;
/** Every so many pixels of the lines their thickness is measured. */
const SAMPLED = 97;

/**
 * Finds where outlines gape: free ends of lines that look at each other, and free ends that look at a line close
 * ahead, and closes those that surely do. A hatch stroke that stops short of an outline looks much like a gap; such are
 * told as not sure, and stay.
 * @param ink 1 where there is ink; sure gaps are inked
 * @param pieces the same ink by its connected pieces
 * @param widestPx the widest gap that is looked for, pixels
 * @param leastPx closings that would cut off less white than this are left out, pixels
 * @param settled whether a person said that this gap is none; such are left out
 */
export function closeSureGaps(
  ink: Uint8Array,
  pieces: InkPieces,
  width: number,
  height: number,
  { widestPx, leastPx, settled }: { widestPx: number; leastPx: number; settled(gap: OpenGap): boolean },
): OpenGap[] {
  const lines = thin(pieces.runs, width, height);
  const onLines = allSet(lines);
  const tips = findTips(lines, onLines, ink, width, height);
  if (tips.length === 0) return [];
  const usual = usualThickness(onLines, ink, width, height);
  const isOutline = (tip: Tip) => tip.thick >= (tip.loose ? LOOSE_THICK : OUTLINE_THICK) * usual;
  const taken = new Set<Tip>();
  const gaps: OpenGap[] = [];
  for (const { a, b, gape, facing } of facingPairs(tips, ink, width, widestPx)) {
    if (taken.has(a) || taken.has(b)) continue;
    taken.add(a).add(b);
    const sure = facing && (isOutline(a) || isOutline(b) || (gape <= 3 && !(a.loose && b.loose)));
    gaps.push({ fromX: a.x, fromY: a.y, toX: b.x, toY: b.y, gape, sure });
  }
  for (const tip of tips) {
    if (taken.has(tip)) continue;
    const ahead = lineAhead(tip, ink, width, height, widestPx);
    if (!ahead) continue;
    const reaches = ahead.gape <= REACH_THICK * tip.thick || tip.length >= REACH_LENGTH * ahead.gape;
    const sure = reaches && !tip.tapered && isOutline(tip) && tip.length >= ahead.gape;
    gaps.push({ fromX: tip.x, fromY: tip.y, toX: ahead.x, toY: ahead.y, gape: ahead.gape, sure });
  }
  const asked = gaps.filter((gap) => !settled(gap));
  return closeWorthwhile(asked, ink, pieces, width, height, leastPx);
}

/** Pairs of ends that look at each other, the closest first. */
function facingPairs(tips: readonly Tip[], ink: Uint8Array, width: number, widestPx: number) {
  const cell = widestPx + 3;
  const grid = new Map<number, number[]>();
  const key = (x: number, y: number) => Math.floor(y / cell) * 100_003 + Math.floor(x / cell);
  tips.forEach(({ endX, endY }, k) => grid.set(key(endX, endY), [...(grid.get(key(endX, endY)) ?? []), k]));
  const pairs: { a: Tip; b: Tip; gape: number; facing: boolean; cost: number }[] = [];
  tips.forEach((a, k) => {
    for (const v of [-1, 0, 1]) {
      for (const u of [-1, 0, 1]) {
        for (const j of grid.get(key(a.endX + u * cell, a.endY + v * cell)) ?? []) {
          if (j <= k) continue;
          const b = tips[j]!;
          const [vx, vy] = [b.endX - a.endX, b.endY - a.endY];
          const between = Math.hypot(vx, vy);
          const gape = Math.max(0, between - 1);
          if (gape > widestPx + ROUNDED_PX || between === 0) continue;
          const aside = angle((a.dx * vx + a.dy * vy) / between);
          const bside = angle(-(b.dx * vx + b.dy * vy) / between);
          const worst = Math.max(aside, bside);
          // Over a gap no wider than the line is thick, the ends hardly tell a direction.
          const close = gape <= Math.max(3, Math.min(a.thick, b.thick));
          if (worst > (close ? 65 : CONE) || inkBetween(a, b, ink, width)) continue;
          const opposite = angle(-(a.dx * b.dx + a.dy * b.dy));
          pairs.push({
            a,
            b,
            gape,
            cost: gape * (1 + worst / CONE),
            facing: worst <= CONE || opposite <= FACING,
          });
        }
      }
    }
  });
  return pairs.sort((p, q) => p.cost - q.cost);
}

function angle(cosine: number): number {
  return (Math.acos(Math.min(1, Math.max(-1, cosine))) * 180) / Math.PI;
}

function inkBetween(a: Tip, b: Tip, ink: Uint8Array, width: number): boolean {
  const steps = Math.ceil(Math.hypot(b.endX - a.endX, b.endY - a.endY));
  for (let s = 2; s < steps - 1; s++) {
    const x = Math.round(a.endX + ((b.endX - a.endX) * s) / steps);
    const y = Math.round(a.endY + ((b.endY - a.endY) * s) / steps);
    if (ink[y * width + x]) return true;
  }
  return false;
}

/** The ink that an end would meet soonest if it went on, preferring straight ahead. */
function lineAhead({ endX, endY, dx, dy }: Tip, ink: Uint8Array, width: number, height: number, widestPx: number) {
  let best: { x: number; y: number; gape: number; cost: number } | null = null;
  for (let turn = -CONE; turn <= CONE; turn += STEP) {
    const [c, s] = [Math.cos((turn * Math.PI) / 180), Math.sin((turn * Math.PI) / 180)];
    const [vx, vy] = [dx * c - dy * s, dx * s + dy * c];
    let white = 0;
    for (let t = 1; t <= widestPx + 2; t++) {
      const [x, y] = [Math.round(endX + t * vx), Math.round(endY + t * vy)];
      if (x < 0 || y < 0 || x >= width || y >= height) break;
      if (!ink[y * width + x]) {
        white++;
        continue;
      }
      if (white === 0) continue;
      const cost = white * (1 + Math.abs(turn) / CONE);
      if (white <= widestPx && (!best || cost < best.cost)) best = { x, y, gape: white, cost };
      break;
    }
  }
  return best;
}

/** Thickness that most lines of the page have: the median over a sample of the thinned lines, pixels. */
function usualThickness(onLines: Int32Array, ink: Uint8Array, width: number, height: number): number {
  const found: number[] = [];
  for (let k = 0; k < onLines.length; k += SAMPLED) found.push(thickness(ink, onLines[k]!, width, height));
  return median(found) ?? 0;
}

/**
 * Leaves out closings that cut nothing off, or less than matters. A line between two points of one connected piece of
 * ink always parts the white that it crosses (Jordan); one between two pieces never does, but it may make one piece of
 * them, so sure ones of that kind stay. What is left and sure is inked.
 */
function closeWorthwhile(
  gaps: readonly OpenGap[],
  ink: Uint8Array,
  { runs, of }: InkPieces,
  width: number,
  height: number,
  leastPx: number,
): OpenGap[] {
  const root = new Map<number, number>();
  const pieceAt = (x: number, y: number): number => {
    let r = runs.rowStart[y]!;
    while (r < runs.rowStart[y + 1]! && runs.to[r]! < x) r++;
    let piece = of[r]!;
    while (root.has(piece)) piece = root.get(piece)!;
    return piece;
  };
  const smallerSide = sideMeasure(ink, width, height, SURE_TIMES * leastPx);
  const kept: OpenGap[] = [];
  for (const gap of [...gaps].sort((p, q) => Number(q.sure) - Number(p.sure))) {
    const [p, q] = [pieceAt(gap.fromX, gap.fromY), pieceAt(gap.toX, gap.toY)];
    if (p !== q) {
      if (!gap.sure) continue;
      root.set(Math.max(p, q), Math.min(p, q));
      drawLine(ink, width, gap);
      kept.push(gap);
      continue;
    }
    const least = smallerSide(gap);
    if (least < leastPx) continue;
    const sure = gap.sure && least >= SURE_TIMES * leastPx;
    if (sure) drawLine(ink, width, gap);
    kept.push({ ...gap, sure });
  }
  return kept;
}

/**
 * Makes the function that tells how much white is left on the smaller side when a gap is closed, pixels, counted up to
 * `enough`.
 */
function sideMeasure(ink: Uint8Array, width: number, height: number, enough: number) {
  const countWhite = whiteCounter(ink, width, height, enough);
  return (gap: OpenGap): number => {
    const [mx, my] = [(gap.fromX + gap.toX) / 2, (gap.fromY + gap.toY) / 2];
    const [vx, vy] = [gap.toX - gap.fromX, gap.toY - gap.fromY];
    const length = Math.max(1, Math.hypot(vx, vy));
    const wall = new Set<number>();
    eachOnLine(width, gap, (i) => wall.add(i));
    const side = (sign: number): number => {
      for (let t = 1; t <= 4; t++) {
        const x = Math.round(mx - (sign * t * vy) / length);
        const y = Math.round(my + (sign * t * vx) / length);
        const i = y * width + x;
        if (x >= 0 && y >= 0 && x < width && y < height && !ink[i] && !wall.has(i)) return i;
      }
      return -1;
    };
    const sides = [1, -1].map((sign) => {
      const start = side(sign);
      return start < 0 ? 0 : countWhite(start, wall);
    });
    return Math.min(...sides);
  };
}

/** Makes the function that counts the white reached from a pixel without crossing ink or the wall, up to `enough`. */
function whiteCounter(ink: Uint8Array, width: number, height: number, enough: number) {
  // White so far reached lies within `enough` of the start: a square of marks around it, new at every call.
  const side = 2 * enough + 1;
  const marks = new Uint32Array(side * side);
  const queue = new Int32Array(enough + 4);
  let call = 0;
  let wall: ReadonlySet<number> = new Set();
  let [x0, y0, count] = [0, 0, 0];
  return (start: number, around: ReadonlySet<number>): number => {
    call++;
    wall = around;
    x0 = (start % width) - enough;
    y0 = Math.floor(start / width) - enough;
    count = 0;
    reach(start % width, Math.floor(start / width));
    for (let k = 0; k < count && count < enough; k++) {
      const x = queue[k]! % width;
      const y = Math.floor(queue[k]! / width);
      reach(x - 1, y);
      reach(x + 1, y);
      reach(x, y - 1);
      reach(x, y + 1);
    }
    return count;
  };

  function reach(x: number, y: number): void {
    if (x < 0 || y < 0 || x >= width || y >= height || count >= enough) return;
    const mark = (y - y0) * side + x - x0;
    const i = y * width + x;
    if (marks[mark] === call || ink[i] || wall.has(i)) return;
    marks[mark] = call;
    queue[count++] = i;
  }
}

/** Inks a closing: a line that white cannot pass by edges. What lies beside the page is left out. */
export function drawLine(ink: Uint8Array, width: number, line: Pick<OpenGap, 'fromX' | 'fromY' | 'toX' | 'toY'>): void {
  eachOnLine(width, line, (i) => {
    if (i >= 0 && i < ink.length) ink[i] = 1;
  });
}

function eachOnLine(
  width: number,
  { fromX, fromY, toX, toY }: Pick<OpenGap, 'fromX' | 'fromY' | 'toX' | 'toY'>,
  visit: (i: number) => void,
): void {
  const steps = Math.max(Math.abs(toX - fromX), Math.abs(toY - fromY), 1);
  for (let s = 0; s <= steps; s++) {
    const x = Math.round(fromX + ((toX - fromX) * s) / steps);
    const y = Math.round(fromY + ((toY - fromY) * s) / steps);
    if (x >= 0 && x < width) visit(y * width + x);
  }
}
