import { distanceTo } from '../lineart/index.ts';
import { type Glow } from './lighting.ts';
import { partsIn } from './bodies.ts';
import { type Box, type PageGeometry, boxOf, widened } from './page.ts';

/** A light is taken to be at least so wide, as a share of the way to what casts a shadow: no light is a point. */
const LEAST_LIGHT = 0.22;
/** The edge of a shadow is never softer than this, radians to either side as seen from the light. */
const SOFTEST = 0.6;

/** A glow on the page, in a window. */
export interface GlowField {
  box: Box;
  /** Pixels to the edge of the source; 0 in it. */
  distance: Float32Array;
  /** 1 at the source's edge to 0 at its reach, evenly by distance, less what is blocked; times the glow's strength. */
  glow: Float32Array;
}

/**
 * Spreads a glow from the edge of its source. Rings of equal value are equally wide; what stands in front of the source
 * blocks it, and the shadow behind that softens the further it runs. Parts of a source that lie apart, as the lanterns
 * of a string, glow each by itself.
 * @param source the regions that glow; for a glow at a point none
 * @param blocks for each region id whether it stands in front of the source
 */
export function spreadGlow(page: PageGeometry, glow: Glow, source: readonly number[], blocks: Uint8Array): GlowField {
  const reach = glow.reachMm * page.pixelsPerMm;
  const own = new Set(source);
  const regions = page.regions.filter(({ id }) => own.has(id));
  const box = widened(regions.length > 0 ? boxOf(regions, page) : pointBox(page, glow), reach, page);
  const width = box.right - box.left;
  const height = box.bottom - box.top;
  const { body, count } = partsIn(page, box, source);
  if (count === 0) body[middlePixel(page, glow, box)] = 1;
  const parts = partsOf(body, width, Math.max(1, count));
  const blocked = new Uint8Array(width * height);
  for (let y = 0, o = 0; y < height; y++) {
    for (let x = 0, i = (box.top + y) * page.width + box.left; x < width; x++, i++, o++)
      blocked[o] = blocks[page.grown[i]!]!;
  }
  const distance = distanceTo(anyOf(body), width, height);
  const out = new Float32Array(width * height);
  for (const part of parts) {
    // No further than its reach does a part matter.
    const own = widened(part.box, reach, { width, height });
    const [wide, high] = [own.right - own.left, own.bottom - own.top];
    const pixels = new Uint8Array(wide * high);
    const behind = new Uint8Array(wide * high);
    for (let y = 0, i = 0; y < high; y++) {
      for (let x = 0, o = (own.top + y) * width + own.left; x < wide; x++, i++, o++) {
        if (body[o] === part.id) pixels[i] = 1;
        behind[i] = blocked[o]!;
      }
    }
    const from = distanceTo(pixels, wide, high);
    const middle = { x: part.x - own.left, y: part.y - own.top };
    const visible = behind.includes(1)
      ? shadowsOf(behind, pixels, wide, high, middle, Math.sqrt(part.n / Math.PI))
      : null;
    for (let y = 0, i = 0; y < high; y++) {
      for (let x = 0, o = (own.top + y) * width + own.left; x < wide; x++, i++, o++) {
        if (from[i]! >= reach) continue;
        const seen = !visible || behind[i] ? 1 : visible(x, y);
        const lit = glow.strength * (1 - from[i]! / reach) * seen;
        if (lit > out[o]!) out[o] = lit;
      }
    }
  }
  return { box, distance, glow: out };
}

function anyOf(body: Uint16Array): Uint8Array {
  return Uint8Array.from(body, (id) => Number(id > 0));
}

/** The middle of each part and the box that holds it, pixels of the window. */
function partsOf(body: Uint16Array, width: number, count: number) {
  const parts = Array.from({ length: count }, (_, k) => ({
    id: k + 1,
    n: 0,
    x: 0,
    y: 0,
    box: { left: Infinity, top: Infinity, right: 0, bottom: 0 },
  }));
  for (let o = 0; o < body.length; o++) {
    if (body[o] === 0) continue;
    const part = parts[body[o]! - 1]!;
    const [x, y] = [o % width, Math.floor(o / width)];
    part.n++;
    part.x += x;
    part.y += y;
    const { box } = part;
    if (x < box.left) box.left = x;
    if (x >= box.right) box.right = x + 1;
    if (y < box.top) box.top = y;
    if (y >= box.bottom) box.bottom = y + 1;
  }
  return parts.map((part) => ({ ...part, x: part.x / part.n, y: part.y / part.n }));
}

function pointBox({ pixelsPerMm }: PageGeometry, { at }: Glow): Box {
  const [x, y] = [(at?.x ?? 0) * pixelsPerMm, (at?.y ?? 0) * pixelsPerMm];
  return { left: x, top: y, right: x, bottom: y };
}

function middlePixel({ pixelsPerMm }: PageGeometry, { at }: Glow, { left, top, right, bottom }: Box): number {
  const inside = (value: number, most: number) => Math.min(most - 1, Math.max(0, Math.round(value)));
  const y = inside((at?.y ?? 0) * pixelsPerMm - top, bottom - top);
  return y * (right - left) + inside((at?.x ?? 0) * pixelsPerMm - left, right - left);
}

/**
 * How much of a light is seen from each place, 0 to 1. Rays run out from its middle in all directions to the first thing
 * that blocks them. From a place behind, each blocked ray hides a strip of the light: the wider the light beside what
 * blocks it, and the further behind, the narrower that strip, so that shadows are sharp beside what casts them and
 * soften the further they run.
 * @param radius of a disc as large as the light, pixels
 */
function shadowsOf(
  blocked: Uint8Array,
  source: Uint8Array,
  width: number,
  height: number,
  middle: { x: number; y: number },
  radius: number,
): (x: number, y: number) => number {
  const far = Math.ceil(
    Math.max(...[0, width - 1].flatMap((x) => [0, height - 1].map((y) => Math.hypot(x - middle.x, y - middle.y)))),
  );
  const rays = Math.min(2048, Math.max(64, Math.ceil(Math.PI * far)));
  const from = new Float32Array(rays).fill(Infinity);
  for (let ray = 0; ray < rays; ray++) {
    const angle = (2 * Math.PI * ray) / rays;
    const [dx, dy] = [Math.cos(angle), Math.sin(angle)];
    for (let r = 1; r <= far; r++) {
      const [x, y] = [Math.round(middle.x + r * dx), Math.round(middle.y + r * dy)];
      if (x < 0 || y < 0 || x >= width || y >= height) break;
      // What stands within the light, as a flame in its globe, does not keep it in.
      if (source[y * width + x]) from[ray] = Infinity;
      else if (blocked[y * width + x] && from[ray] === Infinity) from[ray] = r;
    }
  }
  if (from.every((r) => r === Infinity)) return () => 1;
  const each = (2 * Math.PI) / rays;
  /** How softly the shadow of what blocks at d is edged at r, radians to either side. */
  const softness = (d: number, r: number) =>
    Math.min(SOFTEST, Math.max(each / 2, (Math.max(radius, LEAST_LIGHT * d) / d) * (1 - d / r)));
  /** Where an edge so many rays aside falls on the light, -1 to 1. */
  const onLight = (aside: number, d: number, r: number) => Math.min(1, Math.max(-1, (aside * each) / softness(d, r)));
  const near = leastWithin(from, Math.ceil(SOFTEST / each));
  return (x, y) => {
    const [dx, dy] = [x - middle.x, y - middle.y];
    const r = Math.hypot(dx, dy);
    if (r < 1) return 1;
    const at = Math.atan2(dy, dx) / each;
    const nearest = near[(Math.round(at) + rays) % rays]!;
    if (nearest >= r) return 1;
    // What blocks nearest to the light has the softest edge: none further aside matters.
    const side = Math.ceil(softness(nearest, r) / each);
    const middleRay = Math.round(at);
    let hidden = 0;
    let begun = 0;
    let last = Infinity;
    for (let ray = middleRay - side; ray <= middleRay + side + 1; ray++) {
      const d = ray <= middleRay + side ? from[(ray + 2 * rays) % rays]! : Infinity;
      const blocks = d < r;
      // Rays that are blocked beside each other hide one strip of the light, from its first edge to its last.
      if (blocks && last >= r) begun = onLight(ray - 0.5 - at, d, r);
      if (!blocks && last < r) hidden += Math.max(0, onLight(ray - 0.5 - at, last, r) - begun);
      last = d;
    }
    return 1 - Math.min(1, hidden / 2);
  };
}

/** The least value within so many places on either side, round a ring. */
function leastWithin(ring: Float32Array, reach: number): Float32Array {
  const least = new Float32Array(ring.length).fill(Infinity);
  ring.forEach((value, i) => {
    if (value === Infinity) return;
    for (let k = -reach; k <= reach; k++) {
      const at = (i + k + ring.length) % ring.length;
      if (value < least[at]!) least[at] = value;
    }
  });
  return least;
}
