import { type Finish } from './finishes/index.ts';

/** Steps at which a profile is looked up. */
const STEPS = 512;
/** A dent leans inward as steeply as this at its rim, the sine of its slope. */
const DENT_LEANS = 0.8;

/** From this tone on it is the white of a highlight; where that breaks the metal has so much instead. */
const WHITE_FROM = 0.93;
const BETWEEN = 0.72;
/** Share of a highlight's length that is white, more or less, and by how much of it highlights are out of step. */
const WHITE_SHARE = 0.62;
const UNEVEN = 0.16;

/** Where a place lies along its body, 0 to 1, and how long that is, mm. */
export interface AlongBody {
  share: number;
  lengthMm: number;
}

/** How a finish shines at a place of the page: its tone by the way the surface leans, 0..1. */
export type Shine = (nx: number, ny: number, x: number, y: number, along: AlongBody) => number;

/**
 * @param side the side that the light comes from, a unit vector on the page, y down
 * @param pixelsPerMm of the places that are asked for, pixels
 */
export function shineOf(
  { profile, dentsMm, highlightsMm }: Finish,
  side: readonly [number, number],
  pixelsPerMm: number,
): Shine {
  const tones = Float32Array.from({ length: STEPS + 1 }, (_, k) => toneAt(profile, (2 * k) / STEPS - 1));
  const byTurn = (turn: number) => tones[Math.round(((Math.min(1, Math.max(-1, turn)) + 1) / 2) * STEPS)]!;
  if (dentsMm === undefined) {
    return (nx, ny, _x, _y, along) => {
      const tone = byTurn(nx * side[0] + ny * side[1]);
      return tone >= WHITE_FROM && highlightsMm !== undefined && breaks(along, highlightsMm) ? BETWEEN : tone;
    };
  }
  const pitch = dentsMm * pixelsPerMm;
  return (nx, ny, x, y) => {
    const [dx, dy] = fromDent(x / pitch, y / pitch);
    return byTurn((nx - DENT_LEANS * dx) * side[0] + (ny - DENT_LEANS * dy) * side[1]);
  };
}

/**
 * Whether the white breaks at a place: a body has about one highlight for so many mm of it, one of them in its middle, and
 * none reaches its ends.
 */
function breaks({ share, lengthMm }: AlongBody, highlightsMm: number): boolean {
  const count = 1 + 2 * Math.max(0, Math.round((lengthMm / highlightsMm - 1) / 2));
  const place = Math.min(count - 1e-6, share * count);
  const cell = Math.floor(place);
  const middle = 0.5 + UNEVEN * (count > 1 ? shaken(cell, count) - 0.5 : 0);
  const half = (WHITE_SHARE / 2) * (1 - UNEVEN * (count > 1 ? shaken(count, cell) : 0));
  return Math.abs(place - cell - middle) > half;
}

function toneAt(profile: Finish['profile'], turn: number): number {
  const next = profile.findIndex(([at]) => at >= turn);
  if (next <= 0) return profile[next === 0 ? 0 : profile.length - 1]![1];
  const [[from, low], [to, high]] = [profile[next - 1]!, profile[next]!];
  return low + ((turn - from) / (to - from)) * (high - low);
}

/** The way from the middle of the nearest dent: dents stand one in each square of a net, shaken out of line. */
function fromDent(u: number, v: number): readonly [number, number] {
  const [column, row] = [Math.floor(u), Math.floor(v)];
  let near = Infinity;
  let [dx, dy] = [0, 0];
  for (let r = row - 1; r <= row + 1; r++) {
    for (let c = column - 1; c <= column + 1; c++) {
      const [x, y] = [u - c - 0.2 - 0.6 * shaken(c, r), v - r - 0.2 - 0.6 * shaken(r, c + 7919)];
      const distance = x * x + y * y;
      if (distance < near) [near, dx, dy] = [distance, x, y];
    }
  }
  return [dx, dy];
}

/** A number from 0 to 1 that belongs to a square, the same every time. */
function shaken(c: number, r: number): number {
  let h = Math.imul(c ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(r + 0x7f4a7c15, 0xc2b2ae35);
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
  return ((h ^ (h >>> 13)) >>> 0) / 4_294_967_296;
}
