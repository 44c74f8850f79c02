import { type Bodies } from './bodies.ts';
import { type Form } from './forms/index.ts';
import { type Box, type PageGeometry } from './page.ts';
import { type Shade } from './shade.ts';
import { type Shine } from './shine.ts';
import { SPAN } from './soft-fields.ts';

/** A glow lifts the tone of what it falls on by so much of what is missing to the highlight. */
const GLOW_LIFTS = 0.8;
/** A cast shadow takes so much of the tone of metal. */
const SHADOW_DIMS = 0.45;
/** The least of a glow, or of a neighbour's colour, that surfaces get which do not face it: paper is not a mirror. */
const ALL_ROUND = 0.25;
/** Beside what stands in front a plane is darker so far, mm. */
const BESIDE_MM = 7;
/** What lies flat and falls off is not all dark where the light comes from behind: it has so much of its tone. */
const FLAT_BEFORE_LIGHT = 0.88;
/** A form's value where it meets the edge of what glows; its core is the highlight. */
const SOURCE_EDGE = 0.6;

/** What shading reads and writes: fields 0..255 of each pixel of the page. */
export interface Surface {
  tone: Uint8Array;
  along: Uint8Array;
  out: Uint8Array;
  turn: Uint8Array;
  glow: Uint8Array;
  /** What arrives of a glow by the way surfaces face. */
  lit: Uint8Array;
  shadow: Uint8Array;
  /** What arrives of a neighbour, whichever way a surface faces, and what of it is seen. */
  arriving: Uint8Array;
  reflected: Uint8Array;
  shade: Shade;
  /** The side that the light comes from, a unit vector on the page. */
  side: readonly [number, number];
  /** Which way a pixel's glow, and its neighbour's colour, come from. */
  glowFrom(i: number): readonly [number, number];
  reflectedFrom(i: number): readonly [number, number];
}

/**
 * Shades the bodies of a thing.
 * @param whole the window of the whole thing
 * @param parts the window of the part of the thing that each body belongs to, by its number
 * @param shine how it shines; null where it is dull or lies flat
 * @param glows whether the thing itself glows
 */
export function shadeBodies(
  page: PageGeometry,
  { box, body, distance, beside, reach, axes }: Bodies,
  form: Form,
  whole: Box,
  parts: readonly Box[],
  surface: Surface,
  shine: Shine | null,
  glows: boolean,
): void {
  const { tone, glow, lit, shadow, along, out, turn, arriving, reflected, shade, side } = surface;
  const width = box.right - box.left;
  const height = box.bottom - box.top;
  const place = { depth: 0, across: 0, down: 0, toward: 0, beside: 0 };
  const inBody = { share: 0, lengthMm: 0 };
  const facesLight = shade(0, 0, 1, 0) > 0;
  const besideReach = BESIDE_MM * page.pixelsPerMm;
  const level = form.level ?? 1;
  const edgeward = new Edgeward(distance, width, height, form.faces ?? 0);
  const middle = { x: (whole.left + whole.right - 1) / 2, y: (whole.top + whole.bottom - 1) / 2 };
  const halfTowards = Math.max(
    1,
    Math.abs(side[0]) * (middle.x - whole.left) + Math.abs(side[1]) * (middle.y - whole.top),
  );
  const outs = parts.map(({ left, top, right, bottom }) => {
    const [x, y] = [(left + right - 1) / 2, (top + bottom - 1) / 2];
    // How long it is across the light: highlights lie one after the other that way.
    const length = Math.max(1, Math.abs(side[1]) * (right - left) + Math.abs(side[0]) * (bottom - top));
    return { x, y, length, furthest: Math.max(1, x - left, y - top) };
  });
  for (let y = 0, o = 0; y < height; y++) {
    place.down = height > 1 ? y / (height - 1) : 0;
    const down = box.top + y;
    const share = whole.bottom > whole.top + 1 ? (down - whole.top) / (whole.bottom - 1 - whole.top) : 0;
    for (let x = 0, i = down * page.width + box.left; x < width; x++, i++, o++) {
      const id = body[o]!;
      if (id === 0) continue;
      along[i] = 255 * within(share) + 0.5;
      const part = outs[id]!;
      out[i] = 255 * Math.min(1, Math.hypot(box.left + x - part.x, down - part.y) / part.furthest) + 0.5;
      place.depth = Math.min(1, distance[o]! / reach[id]!);
      place.toward = within(
        (1 + ((box.left + x - middle.x) * side[0] + (down - middle.y) * side[1]) / halfTowards) / 2,
      );
      place.beside = beside ? within(1 - beside[o]! / besideReach) : 0;
      if (glows) {
        tone[i] = 255 * (SOURCE_EDGE + (1 - SOURCE_EDGE) * place.depth) + 0.5;
        continue;
      }
      let [nx, ny, lean] = [0, 0, 0];
      const axis = axes[id];
      if (axis) {
        const at = Math.round(x * axis.cos + y * axis.sin) - axis.first;
        const [least, most] = [axis.least[at]!, axis.most[at]!];
        const across = most > least ? (2 * (y * axis.cos - x * axis.sin - least)) / (most - least) - 1 : 0;
        place.across = Math.min(1, Math.max(-1, across));
        lean = form.lean(place);
        nx = -lean * axis.sin;
        ny = lean * axis.cos;
      } else if ((lean = form.lean(place)) !== 0) {
        edgeward.at(x, y);
        nx = lean * edgeward.dx;
        ny = lean * edgeward.dy;
      }
      turn[i] = 127.5 * (1 + nx * side[0] + ny * side[1]) + 0.5;
      if (arriving[i]! > 0) reflected[i] = arriving[i]! * (lean === 0 ? 1 : facing(surface.reflectedFrom(i), nx, ny));
      if (glow[i]! > 0) lit[i] = glow[i]! * (lean === 0 ? 1 : facing(surface.glowFrom(i), nx, ny)) + 0.5;
      if (shine) {
        // Metal shows what it faces: a light falls on it as a colour, and only a cast shadow dims it.
        const [u, v] = [box.left + x - part.x, down - part.y];
        inBody.share = within(0.5 + (v * side[0] - u * side[1]) / part.length);
        inBody.lengthMm = part.length / page.pixelsPerMm;
        tone[i] = 255 * shine(nx, ny, box.left + x, down, inBody) * (1 - SHADOW_DIMS * (shadow[i]! / 255)) + 0.5;
        continue;
      }
      const own = form.fades
        ? form.fades(place.down)
        : form.falls
          ? level * (facesLight ? shade(0, 0, 1, shadow[i]! / 255) : FLAT_BEFORE_LIGHT) * form.falls(place)
          : level * shade(nx, ny, Math.sqrt(Math.max(0, 1 - nx * nx - ny * ny)), shadow[i]! / 255);
      tone[i] = 255 * (1 - (1 - own) * (1 - GLOW_LIFTS * (lit[i]! / 255))) + 0.5;
    }
  }
}

function within(share: number): number {
  return Math.min(1, Math.max(0, share));
}

/** How much of what comes from a direction is seen on a surface that leans, 0..1. */
function facing([gx, gy]: readonly [number, number], nx: number, ny: number): number {
  return ALL_ROUND + (1 - ALL_ROUND) * Math.max(0, nx * gx + ny * gy);
}

/** Which way the nearest edge lies at a place, at most a unit long, from exact distances. */
class Edgeward {
  dx = 0;
  dy = 0;
  readonly #distance: Float32Array;
  readonly #width: number;
  readonly #height: number;
  readonly #faces: number;

  /** @param faces how many ways it may point; 0 for any */
  constructor(distance: Float32Array, width: number, height: number, faces: number) {
    this.#distance = distance;
    this.#width = width;
    this.#height = height;
    this.#faces = faces;
  }

  at(x: number, y: number): void {
    const distance = this.#distance;
    const width = this.#width;
    const o = y * width + x;
    const right = Math.min(SPAN, width - 1 - x);
    const left = Math.min(SPAN, x);
    const below = Math.min(SPAN, this.#height - 1 - y);
    const above = Math.min(SPAN, y);
    const dx = (distance[o - left]! - distance[o + right]!) / Math.max(1, left + right);
    const dy = (distance[o - above * width]! - distance[o + below * width]!) / Math.max(1, above + below);
    const length = Math.hypot(dx, dy);
    if (this.#faces > 0 && length > 0) {
      const face = Math.floor((Math.atan2(dy, dx) / (2 * Math.PI)) * this.#faces) + 0.5;
      this.dx = Math.cos((2 * Math.PI * face) / this.#faces);
      this.dy = Math.sin((2 * Math.PI * face) / this.#faces);
    } else {
      this.dx = dx / Math.max(1, length);
      this.dy = dy / Math.max(1, length);
    }
  }
}
