import { cornersApart, ringArea } from './borders.ts';
import { perimeter } from './shapes.ts';

/** Points that an outline is read at, and the frequencies kept of it on either side of none. */
const SAMPLES = 64;
const ORDERS = 8;
/** Outlines are alike when, laid on each other, they lie apart by no more than this share of their size, ... */
const APART = 0.055;
/** ... and by so many pixels more, the raggedness of a scanned line. */
const RAGGED_PX = 0.6;
/** One of a set may be this many times as large as another. */
const MOST_LARGER = 8;
/** Smaller outlines are too ragged to compare, pixels round. */
const LEAST_AROUND = 36;
/** So many of the sets nearest in strength are laid on an outline to see whether it fits. */
const TRIED = 3;

/** An outline by its frequencies, free of place and size. Source: C. Zahn, R. Roskies, Fourier descriptors (1972). */
interface Descriptor {
  id: number;
  holes: number;
  area: number;
  /** How far apart another outline may lie and still be alike, as a share of its size. */
  reach: number;
  /** Orders -ORDERS..-1, 1..ORDERS: the place of the outline, order 0, is left out. */
  re: Float64Array;
  im: Float64Array;
  /** Strength of each frequency, from the middle ones outwards: the same however it is turned, mirrored or scaled. */
  strength: Float64Array;
  /** How far from a circle, the key that likenesses are looked for by. */
  ovalness: number;
}

/**
 * Which regions have the same shape, turned, mirrored or scaled.
 * @param rings rings of each region 1..count in pixels, the outer one first; index 0 is not read
 * @returns sets of two or more region ids, the largest set first
 */
export function findAlike(rings: readonly (readonly Float64Array[])[]): number[][] {
  const described = rings
    .flatMap((own, id) => (id > 0 && own.length && perimeter(own[0]!) >= LEAST_AROUND ? [describe(id, own)] : []))
    .sort((p, q) => p.ovalness - q.ovalness || p.id - q.id);
  const sets: Descriptor[][] = [];
  const heads = newHeads(described.length);
  let firstNear = 0;
  for (const one of described) {
    // Sets are kept in the order of their first member, which is the least oval.
    while (firstNear < sets.length && one.ovalness - sets[firstNear]![0]!.ovalness > one.reach) firstNear++;
    const home = closest(one, sets, heads, firstNear);
    if (home) {
      home.push(one);
      continue;
    }
    addHead(heads, sets.length, one);
    sets.push([one]);
  }
  return sets
    .filter((set) => set.length > 1)
    .map((set) => set.map(({ id }) => id).sort((a, b) => a - b))
    .sort((p, q) => q.length - p.length || p[0]! - q[0]!);
}

/** The first members of the sets, packed: most of the time goes into passing by those that are unlike. */
interface Heads {
  /** 2 ORDERS each, from the middle frequencies outwards, where the strong ones are. */
  strengths: Float64Array;
  reach: Float64Array;
  area: Float64Array;
  holes: Int32Array;
}

function newHeads(most: number): Heads {
  const each = () => new Float64Array(most);
  return { strengths: new Float64Array(2 * ORDERS * most), reach: each(), area: each(), holes: new Int32Array(most) };
}

function addHead(heads: Heads, at: number, { strength, reach, area, holes }: Descriptor): void {
  heads.strengths.set(strength, 2 * ORDERS * at);
  heads.reach[at] = reach;
  heads.area[at] = area;
  heads.holes[at] = holes;
}

function closest(one: Descriptor, sets: readonly Descriptor[][], heads: Heads, from: number): Descriptor[] | null {
  const { strengths, reach, area, holes } = heads;
  const own = one.strength;
  const nearest: number[] = [];
  const off: number[] = [];
  for (let k = from; k < sets.length; k++) {
    if (one.holes !== holes[k] || one.area > MOST_LARGER * area[k]! || area[k]! > MOST_LARGER * one.area) continue;
    const limit = Math.min(one.reach, reach[k]!);
    const enough = Math.min(limit * limit, off.length === TRIED ? off[TRIED - 1]! : Infinity);
    // The squared difference in strengths: two outlines never lie closer than that.
    let sum = 0;
    for (let j = 0, i = 2 * ORDERS * k; j < 2 * ORDERS && sum <= enough; j++, i++)
      sum += (own[j]! - strengths[i]!) ** 2;
    if (sum > enough) continue;
    let place = off.length;
    while (place > 0 && off[place - 1]! > sum) place--;
    off.splice(place, 0, sum);
    nearest.splice(place, 0, k);
    if (off.length > TRIED) {
      off.pop();
      nearest.pop();
    }
  }
  const fitting = nearest.find((k) => fits(one, sets[k]![0]!, Math.min(one.reach, reach[k]!)));
  return fitting === undefined ? null : sets[fitting]!;
}

/**
 * Whether two outlines, laid on each other at some turn and start, mirrored or not, lie apart by less than `limit`:
 * root mean square, as a share of their size. The first turn that will do ends the search.
 */
function fits(p: Descriptor, q: Descriptor, limit: number): boolean {
  // Two outlines of size 1 lie apart by the root of 2 - 2 |sum of products|.
  const enough = (1 - (limit * limit) / 2) ** 2;
  for (const mirrored of [1, -1]) {
    for (let m = 0; m < ORDERS; m++) {
      // A mirrored outline, walked the same way round, has every frequency conjugated.
      const [before, after] = [ORDERS - 1 - m, ORDERS + m];
      const beforeRe = p.re[before]! * q.re[before]! + mirrored * p.im[before]! * q.im[before]!;
      const beforeIm = p.im[before]! * q.re[before]! - mirrored * p.re[before]! * q.im[before]!;
      const afterRe = p.re[after]! * q.re[after]! + mirrored * p.im[after]! * q.im[after]!;
      const afterIm = p.im[after]! * q.re[after]! - mirrored * p.re[after]! * q.im[after]!;
      // Orders m and -m turn by the same angle, one each way.
      EVEN_RE[m] = afterRe + beforeRe;
      ODD_RE[m] = beforeIm - afterIm;
      EVEN_IM[m] = afterIm + beforeIm;
      ODD_IM[m] = afterRe - beforeRe;
    }
    for (let shift = 0; shift < SAMPLES; shift++) {
      let re = 0;
      let im = 0;
      for (let m = 0; m < ORDERS; m++) {
        const turn = ((m + 1) * shift) & (SAMPLES - 1);
        re += EVEN_RE[m]! * COS[turn]! + ODD_RE[m]! * SIN[turn]!;
        im += EVEN_IM[m]! * COS[turn]! + ODD_IM[m]! * SIN[turn]!;
      }
      if (re * re + im * im > enough) return true;
    }
  }
  return false;
}

/** What `fits` sums up, used again at every call: it is called thousands of times a page. */
const EVEN_RE = new Float64Array(ORDERS);
const ODD_RE = new Float64Array(ORDERS);
const EVEN_IM = new Float64Array(ORDERS);
const ODD_IM = new Float64Array(ORDERS);
const COS = Float64Array.from({ length: SAMPLES }, (_, k) => Math.cos((2 * Math.PI * k) / SAMPLES));
const SIN = Float64Array.from({ length: SAMPLES }, (_, k) => Math.sin((2 * Math.PI * k) / SAMPLES));

function describe(id: number, rings: readonly Float64Array[]): Descriptor {
  const points = evenlySpaced(rings[0]!);
  const n = 2 * ORDERS;
  const [re, im] = [new Float64Array(n), new Float64Array(n)];
  let power = 0;
  for (let m = 0; m < ORDERS; m++) {
    let [xc, xs, yc, ys] = [0, 0, 0, 0];
    for (let t = 0; t < SAMPLES; t++) {
      const turn = ((m + 1) * t) & (SAMPLES - 1);
      xc += points[2 * t]! * COS[turn]!;
      xs += points[2 * t]! * SIN[turn]!;
      yc += points[2 * t + 1]! * COS[turn]!;
      ys += points[2 * t + 1]! * SIN[turn]!;
    }
    const [before, after] = [ORDERS - 1 - m, ORDERS + m];
    [re[after], im[after]] = [(xc + ys) / SAMPLES, (yc - xs) / SAMPLES];
    [re[before], im[before]] = [(xc - ys) / SAMPLES, (yc + xs) / SAMPLES];
    power += re[after] ** 2 + im[after] ** 2 + re[before] ** 2 + im[before] ** 2;
  }
  const size = Math.sqrt(power);
  for (let k = 0; k < n; k++) [re[k], im[k]] = [re[k]! / size, im[k]! / size];
  // -1, 1, -2, 2, ...
  const strength = new Float64Array(n);
  for (let m = 0; m < ORDERS; m++) {
    const [before, after] = [ORDERS - 1 - m, ORDERS + m];
    strength[2 * m] = Math.sqrt(re[before]! ** 2 + im[before]! ** 2);
    strength[2 * m + 1] = Math.sqrt(re[after]! ** 2 + im[after]! ** 2);
  }
  const holes = rings.length - 1;
  const reach = APART + RAGGED_PX / size;
  return { id, holes, area: ringArea(rings[0]!), reach, re, im, strength, ovalness: strength[0]! };
}

/** The outline at points evenly spaced along it, x, y, x, y, ... */
function evenlySpaced(ring: Float64Array): Float64Array {
  const points = new Float64Array(2 * SAMPLES);
  const step = perimeter(ring) / SAMPLES;
  let [corner, walked, length] = [0, 0, 0];
  const next = () => (corner + 2) % ring.length;
  const side = () => cornersApart(ring, corner, next());
  length = side();
  for (let t = 0; t < SAMPLES; t++) {
    const at = t * step;
    while (at - walked > length && corner + 2 < ring.length) {
      walked += length;
      corner += 2;
      length = side();
    }
    const share = length === 0 ? 0 : Math.min(1, (at - walked) / length);
    points[2 * t] = ring[corner]! + (ring[next()]! - ring[corner]!) * share;
    points[2 * t + 1] = ring[corner + 1]! + (ring[next() + 1]! - ring[corner + 1]!) * share;
  }
  return points;
}
