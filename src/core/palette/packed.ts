import { type Lab, oklchOfLab } from '../colour/index.ts';
import { valueClass } from './values.ts';
import { type Option } from './options.ts';
import { type Problem, likesOf } from './problem.ts';

/** Hues that are told apart. */
export const HUES = 12;
/** A thing above this share of the area is large, and a colour below this CIELAB chroma is grey to the eye. */
export const LARGE = 0.02;
const GREY = 10;

/** A problem's options and borders one after the other in arrays, which a search reads several times faster. */
export interface Packed {
  /** Where each thing's options begin; everything down to `pencil` has an entry for each option. */
  first: Int32Array;
  colour: Int32Array;
  voice: Uint8Array;
  /** OKLCH chroma of the body. */
  clear: Float64Array;
  /** Whether the body is light, middle or dark, times the thing's share of the area. */
  values: readonly [Float64Array, Float64Array, Float64Array];
  /** Hue of the body by twelfths of OKLCH, where the thing is large and not grey; -1 otherwise. */
  hue: Int8Array;
  /** L* of the body, its square, its chroma and its warmth, each times the thing's share of the area. */
  light: Float64Array;
  square: Float64Array;
  chroma: Float64Array;
  warm: Float64Array;
  /** The weighed terms that a thing has by itself. */
  local: Float64Array;
  /** Where an option's pencils begin in `pencils`. */
  pencil: Int32Array;
  pencils: Int32Array;
  /** Where the borders of each thing begin in `other`, `weight` and `inFront`. */
  beside: Int32Array;
  other: Int32Array;
  weight: Float64Array;
  inFront: Uint8Array;
  /** Where the things like each thing begin in `like`. */
  likes: Int32Array;
  like: Int32Array;
  /** For each thing: how far it lies to the right of the middle, -1..1, the root of its share, its cell of the page. */
  offCentre: Float64Array;
  root: Float64Array;
  cell: Int32Array;
}

/**
 * Packs a problem.
 * @param local the weighed terms that a thing has by itself with an option
 * @param across how many cells the page has across and down
 */
export function pack(problem: Problem, local: (thing: number, option: Option) => number, across: number): Packed {
  const { things, options, borders, share } = problem;
  const every = options.flat();
  const sides = things.map((_, i) =>
    borders.flatMap(({ front, behind, weight }) =>
      front === i
        ? [{ other: behind, weight, inFront: 1 }]
        : behind === i
          ? [{ other: front, weight, inFront: 0 }]
          : [],
    ),
  );
  const likes = likesOf(problem);
  const byArea = (of: (option: Option) => number) =>
    Float64Array.from(options.flatMap((own, i) => own.map((option) => share[i]! * of(option))));
  const cellAt = (part: number) => Math.min(across - 1, Math.max(0, Math.floor(across * part)));
  return {
    first: starts(options),
    colour: Int32Array.from(every, ({ colour }) => colour),
    voice: Uint8Array.from(every, ({ voice }) => voice),
    clear: Float64Array.from(every, ({ chroma }) => chroma),
    values: [0, 1, 2].map((k) => byArea(({ body }) => valueClass(body)[k]!)) as unknown as Packed['values'],
    hue: Int8Array.from(options.flatMap((own, i) => own.map(({ body }) => (share[i]! > LARGE ? hueOf(body) : -1)))),
    light: byArea(({ body }) => body[0]),
    square: byArea(({ body }) => body[0] ** 2),
    chroma: byArea(({ chroma }) => chroma),
    warm: byArea(({ warm }) => warm),
    local: Float64Array.from(options.flatMap((own, i) => own.map((option) => local(i, option)))),
    pencil: starts(every.map(({ pencils }) => pencils)),
    pencils: Int32Array.from(every.flatMap(({ pencils }) => pencils)),
    beside: starts(sides),
    other: Int32Array.from(sides.flat(), ({ other }) => other),
    weight: Float64Array.from(sides.flat(), ({ weight }) => weight),
    inFront: Uint8Array.from(sides.flat(), ({ inFront }) => inFront),
    likes: starts(likes),
    like: Int32Array.from(likes.flat()),
    offCentre: Float64Array.from(things, ({ at }) => 2 * at.x - 1),
    root: share.map(Math.sqrt),
    cell: Int32Array.from(things, ({ at }) => cellAt(at.y) * across + cellAt(at.x)),
  };
}

function hueOf(body: Lab): number {
  return Math.hypot(body[1], body[2]) < GREY ? -1 : Math.round((HUES * oklchOfLab(body).h) / 360) % HUES;
}

/** Where each row begins when rows are put one after the other, and where the last one ends. */
function starts(rows: readonly { length: number }[]): Int32Array {
  const at = new Int32Array(rows.length + 1);
  rows.forEach(({ length }, i) => (at[i + 1] = at[i]! + length));
  return at;
}
