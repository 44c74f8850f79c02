import { type Region, distanceTo } from '../lineart/index.ts';
import { type Form } from './forms/index.ts';
import { type Box, type PageGeometry, boxOf } from './page.ts';
import { pixelsInFront, standingOn } from './standing-on.ts';

/** Shading from an edge reaches this far into a wide region, mm; narrower ones are shaded to their middle. */
const SHADE_REACH_MM = 11;

/** What a form is laid over, in a window of the page: its regions one by one, or its parts that hang together. */
export interface Bodies {
  box: Box;
  /** Which body each pixel of the window belongs to, from 1; 0 beside them. */
  body: Uint16Array;
  /** Pixels from each pixel of the window to the edge of its body; what stands in front and lies on it is no edge. */
  distance: Float32Array;
  /** Pixels from each pixel of the window to what stands in front; null for forms that do not care, and where nothing does. */
  beside: Float32Array | null;
  /** For each body how far shading reaches into it, pixels; at 0 nothing. */
  reach: Float32Array;
  /** For each body its long axis; empty for forms that lean outward. */
  axes: readonly (Axis | null)[];
}

/** A long axis: its direction, and how far a body reaches to either side at each pixel along it. */
interface Axis {
  cos: number;
  sin: number;
  /** Pixel along the axis at which the body begins. */
  first: number;
  least: Float32Array;
  most: Float32Array;
}

/**
 * Takes the bodies of a thing in a form out of a page.
 * @param isInFront whether a region stands in front of the thing
 */
export function bodiesOf(
  page: PageGeometry,
  box: Box,
  regionIds: readonly number[],
  form: Form,
  isInFront: (regionId: number) => boolean,
): Bodies {
  const width = box.right - box.left;
  const height = box.bottom - box.top;
  const { body, count } = form.over === 'region' ? regionsIn(page, box, regionIds) : partsIn(page, box, regionIds);
  const on = form.fades ? null : standingOn(page, box, body, isInFront);
  const distance =
    form.over === 'region' && !on ? windowOf(page, box) : distanceTo(besideBodies(body, on), width, height);
  const front = form.falls ? pixelsInFront(page, box, body, isInFront) : null;
  const most = form.over === 'region' ? SHADE_REACH_MM * page.pixelsPerMm : Infinity;
  const reach = new Float32Array(count + 1).fill(1);
  for (let i = 0; i < body.length; i++) {
    if (body[i]! > 0 && distance[i]! > reach[body[i]!]!) reach[body[i]!] = Math.min(most, distance[i]!);
  }
  const beside = front && distanceTo(front, width, height);
  return { box, body, distance, beside, reach, axes: form.leans === 'across' ? axesOf(body, width, count) : [] };
}

/** Each region as a body of its own. */
function regionsIn({ width, grown }: PageGeometry, { left, top, right, bottom }: Box, regionIds: readonly number[]) {
  const order = new Map(regionIds.map((id, k) => [id, k + 1]));
  const body = new Uint16Array((right - left) * (bottom - top));
  let [last, place] = [0, 0];
  for (let y = top, o = 0; y < bottom; y++) {
    for (let x = left, i = y * width + left; x < right; x++, i++, o++) {
      // Neighbouring pixels mostly belong to one region.
      if (grown[i] !== last) place = order.get((last = grown[i]!)) ?? 0;
      body[o] = place;
    }
  }
  return { body, count: regionIds.length };
}

/** The parts of a thing that hang together: neighbouring regions meet in the middle of the line between them. */
export function partsIn(page: PageGeometry, box: Box, regionIds: readonly number[]) {
  const { body } = regionsIn(page, box, regionIds);
  const width = box.right - box.left;
  const open = new Uint8Array(body.length);
  for (let i = 0; i < body.length; i++) open[i] = body[i]! > 0 ? 1 : 0;
  const stack: number[] = [];
  let count = 0;
  const take = (i: number) => {
    if (!open[i]) return;
    open[i] = 0;
    body[i] = count;
    stack.push(i);
  };
  for (let start = 0; start < open.length; start++) {
    if (!open[start]) continue;
    count++;
    take(start);
    while (stack.length > 0) {
      const i = stack.pop()!;
      const x = i % width;
      if (x > 0) take(i - 1);
      if (x < width - 1) take(i + 1);
      if (i >= width) take(i - width);
      if (i + width < open.length) take(i + width);
    }
  }
  return { body, count };
}

/** The window of each body, in pixels of the page, by its number. */
export function boxesOfBodies({ left, top, right, bottom }: Box, body: Uint16Array, count: number): Box[] {
  const boxes = Array.from({ length: count + 1 }, () => ({ left: right, top: bottom, right: left, bottom: top }));
  for (let y = top, o = 0; y < bottom; y++) {
    for (let x = left; x < right; x++, o++) {
      if (body[o] === 0) continue;
      const own = boxes[body[o]!]!;
      own.left = Math.min(own.left, x);
      own.right = Math.max(own.right, x + 1);
      own.top = Math.min(own.top, y);
      own.bottom = y + 1;
    }
  }
  return boxes;
}

/**
 * For each region of a thing the window of the part that it belongs to, by its id: petals have the middle of their own
 * blossom, and each eye its own.
 */
export function partsOfRegions(page: PageGeometry, regions: readonly Region[]): Map<number, Box> {
  const box = boxOf(regions, page);
  const ids = regions.map(({ id }) => id);
  const { body, count } = partsIn(page, box, ids);
  const boxes = boxesOfBodies(box, body, count);
  const parts = new Map<number, Box>();
  for (let y = box.top, o = 0; y < box.bottom; y++) {
    for (let x = box.left, i = y * page.width + box.left; x < box.right; x++, i++, o++) {
      if (body[o]! > 0 && !parts.has(page.grown[i]!)) parts.set(page.grown[i]!, boxes[body[o]!]!);
    }
  }
  return parts;
}

/** 1 at the pixels that belong to no body and lie on none. */
function besideBodies(body: Uint16Array, on: Uint8Array | null): Uint8Array {
  const out = new Uint8Array(body.length);
  for (let i = 0; i < body.length; i++) out[i] = body[i] === 0 && !on?.[i] ? 1 : 0;
  return out;
}

function windowOf({ width, distance }: PageGeometry, { left, top, right, bottom }: Box): Float32Array {
  const out = new Float32Array((right - left) * (bottom - top));
  for (let y = top, o = 0; y < bottom; y++, o += right - left) {
    out.set(distance.subarray(y * width + left, y * width + right), o);
  }
  return out;
}

/** The long axis of each body by its second moments, with its extent to either side. */
function axesOf(body: Uint16Array, width: number, count: number): (Axis | null)[] {
  const sums = Array.from({ length: count + 1 }, () => ({ n: 0, x: 0, y: 0, xx: 0, yy: 0, xy: 0 }));
  each((id, x, y) => {
    const sum = sums[id]!;
    sum.n++;
    sum.x += x;
    sum.y += y;
    sum.xx += x * x;
    sum.yy += y * y;
    sum.xy += x * y;
  });
  const axes = sums.map(({ n, x, y, xx, yy, xy }) => {
    if (n === 0) return null;
    const angle = 0.5 * Math.atan2(2 * (xy - (x * y) / n), xx - (x * x) / n - (yy - (y * y) / n));
    return { cos: Math.cos(angle), sin: Math.sin(angle), first: Infinity, last: -Infinity };
  });
  const along = ({ cos, sin }: { cos: number; sin: number }, x: number, y: number) => Math.round(x * cos + y * sin);
  each((id, x, y) => {
    const axis = axes[id]!;
    const at = along(axis, x, y);
    if (at < axis.first) axis.first = at;
    if (at > axis.last) axis.last = at;
  });
  const sides = axes.map((axis) => {
    if (!axis) return null;
    const length = axis.last - axis.first + 1;
    return { least: new Float32Array(length).fill(Infinity), most: new Float32Array(length).fill(-Infinity) };
  });
  each((id, x, y) => {
    const axis = axes[id]!;
    const { least, most } = sides[id]!;
    const at = along(axis, x, y) - axis.first;
    const across = y * axis.cos - x * axis.sin;
    if (across < least[at]!) least[at] = across;
    if (across > most[at]!) most[at] = across;
  });
  return axes.map((axis, id) => {
    if (!axis) return null;
    const { cos, sin, first } = axis;
    const { least, most } = sides[id]!;
    // An outline goes in steps of a pixel: two on each side at the least.
    const reach = Math.max(2, Math.round((SMOOTH * sums[id]!.n) / least.length));
    return { cos, sin, first, least: smoothed(least, reach), most: smoothed(most, reach) };
  });

  function each(look: (id: number, x: number, y: number) => void) {
    for (let i = 0; i < body.length; i++) if (body[i]! > 0) look(body[i]!, i % width, Math.floor(i / width));
  }
}

/** Light on a tube does not follow each jag of its outline: sides are smoothed over so much of the width to either side. */
const SMOOTH = 0.25;

/** The mean of each value and so many on each side of it, those that are missing left out. */
function smoothed(values: Float32Array, reach: number): Float32Array {
  // Sums and counts of all before each place.
  const [sums, counts] = [new Float64Array(values.length + 1), new Uint32Array(values.length + 1)];
  values.forEach((value, i) => {
    sums[i + 1] = sums[i]! + (Number.isFinite(value) ? value : 0);
    counts[i + 1] = counts[i]! + Number(Number.isFinite(value));
  });
  return values.map((_, i) => {
    const [from, to] = [Math.max(0, i - reach), Math.min(values.length, i + reach + 1)];
    return (sums[to]! - sums[from]!) / (counts[to]! - counts[from]!);
  });
}
