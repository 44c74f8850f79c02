import { type Bodies, bodiesOf } from './bodies.ts';
import { castShadows } from './cast-shadows.ts';
import { type Form, formById } from './forms/index.ts';
import { type GlowField, spreadGlow } from './glow.ts';
import { type Lighting, checkLighting } from './lighting.ts';
import { type FormedThing, type PageGeometry, boxOf, coarsePage, coarseness } from './page.ts';
import { type Shade, shadeOf } from './shade.ts';

/** What light does on a page, for each pixel. */
export interface PageFields {
  /** 0 (deepest shadow) to 255 (highlight). */
  tone: Uint8Array;
  /** 0 (none) to 255 (beside the edge of the brightest source). */
  glow: Uint8Array;
  /** Cast shadows, 0 (none) to 255. */
  shadow: Uint8Array;
}

/** A glow lifts the tone of what it falls on by so much of what is missing to the highlight. */
const GLOW_LIFTS = 0.8;
/** The least of a glow that surfaces get which do not face it: paper is not a mirror. */
const GLOW_ALL_ROUND = 0.25;
/** A form's value where it meets the edge of what glows; its core is the highlight. */
const SOURCE_EDGE = 0.6;
/** No shadow is seen on a sky. */
const UNSHADED = new Set(['sky', 'light']);
/** Central differences are taken over so many pixels on either side: exact distances have steps at a pixel. */
const SPAN = 2;

/**
 * The light of a page as fields. Regions outside every thing are taken as raised, behind all things.
 * @param things from what lies in front to what lies behind
 * @throws RangeError for lights that cannot be, see {@link checkLighting}, and for a form that is not known
 */
export function pageFields(page: PageGeometry, things: readonly FormedThing[], lighting: Lighting): PageFields {
  checkLighting(lighting);
  const { orderOf, takes, sources } = standing(page, things, lighting);
  const shadow = castShadows(page, orderOf, takes, lighting.main);
  const fields = { tone: new Uint8Array(page.grown.length), glow: glowOf(page, things, lighting), shadow };
  const shade = shadeOf(lighting.main);
  const named = new Set(things.flatMap(({ regionIds }) => regionIds));
  const rest = page.regions.flatMap(({ id }) => (named.has(id) ? [] : [id]));
  const byId = new Map(page.regions.map((region) => [region.id, region]));
  const towards = gradientOf(page, fields.glow);
  for (const { id, regionIds, form: formId } of [...things, { id: '', regionIds: rest, form: 'raised' }]) {
    const own = regionIds.flatMap((regionId) => byId.get(regionId) ?? []);
    if (own.length === 0) continue;
    const form = formById(formId);
    // Each region of its own is looked at in its own window.
    const groups = form.over === 'region' ? own.map((region) => [region]) : [own];
    for (const group of groups) {
      const bodies = bodiesOf(
        page,
        boxOf(group, page),
        group.map((region) => region.id),
        form,
      );
      shadeBodies(page, bodies, form, shade, fields, towards, sources.has(id));
    }
  }
  return fields;
}

/** Each glow spread over the page; null for one whose thing is not there. */
export function glowFields(
  page: PageGeometry,
  things: readonly FormedThing[],
  lighting: Lighting,
): (GlowField | null)[] {
  const { orderOf } = standing(page, things, lighting);
  return lighting.glows.map((glow) => {
    const source = glow.thingId === null ? -1 : things.findIndex(({ id }) => id === glow.thingId);
    if (glow.thingId !== null && source < 0) return null;
    const blocks = Uint8Array.from(orderOf, (order) => Number(source >= 0 && order < source));
    return spreadGlow(page, glow, source < 0 ? [] : things[source].regionIds, blocks);
  });
}

/** Where each region stands from front to behind, whether it takes shadows, and which things glow. */
function standing(page: PageGeometry, things: readonly FormedThing[], { glows }: Lighting) {
  const orderOf = new Float64Array(65_536).fill(Infinity);
  const takes = new Uint8Array(65_536);
  for (const { id } of page.regions) {
    orderOf[id] = things.length;
    takes[id] = 1;
  }
  const sources = new Set(glows.flatMap(({ thingId }) => thingId ?? []));
  things.forEach(({ id, regionIds, material }, order) => {
    const shaded = !UNSHADED.has(material ?? '') && !sources.has(id);
    for (const regionId of regionIds) {
      orderOf[regionId] = order;
      takes[regionId] = Number(shaded);
    }
  });
  return { orderOf, takes, sources };
}

/** All glows of a page in one, at each place the brightest: worked out coarsely, for they have no edges but soft ones. */
function glowOf(page: PageGeometry, things: readonly FormedThing[], lighting: Lighting): Uint8Array {
  const step = coarseness(page);
  const coarse = coarsePage(page, step);
  const all = new Float32Array(coarse.grown.length);
  for (const field of glowFields(coarse, things, lighting)) {
    if (!field) continue;
    const { box, glow } = field;
    for (let y = box.top, o = 0; y < box.bottom; y++) {
      for (let x = box.left, i = y * coarse.width + x; x < box.right; x++, i++, o++) {
        if (glow[o] > all[i]) all[i] = glow[o];
      }
    }
  }
  return lighting.glows.length > 0 ? enlargedEvenly(page, coarse, all, step) : new Uint8Array(page.grown.length);
}

/** A coarse field 0..1 at full size as 0..255, even between its pixels. */
function enlargedEvenly(page: PageGeometry, coarse: PageGeometry, field: Float32Array, step: number): Uint8Array {
  const out = new Uint8Array(page.grown.length);
  for (let y = 0, i = 0; y < page.height; y++) {
    const top = Math.floor(y / step);
    const bottom = Math.min(coarse.height - 1, top + 1);
    const down = y / step - top;
    for (let x = 0; x < page.width; x++, i++) {
      const left = Math.floor(x / step);
      const right = Math.min(coarse.width - 1, left + 1);
      const across = x / step - left;
      const [row, next] = [top * coarse.width, bottom * coarse.width];
      const above = field[row + left] + (field[row + right] - field[row + left]) * across;
      const below = field[next + left] + (field[next + right] - field[next + left]) * across;
      out[i] = 255 * (above + (below - above) * down) + 0.5;
    }
  }
  return out;
}

/** Looks up which way a field rises at a pixel, as a unit vector; nowhere where it is even. */
function gradientOf({ width, height }: PageGeometry, field: Uint8Array): (i: number) => [number, number] {
  return (i) => {
    const x = i % width;
    const y = Math.floor(i / width);
    const right = field[i + Math.min(SPAN, width - 1 - x)];
    const left = field[i - Math.min(SPAN, x)];
    const below = field[i + width * Math.min(SPAN, height - 1 - y)];
    const above = field[i - width * Math.min(SPAN, y)];
    const length = Math.hypot(right - left, below - above);
    return length > 0 ? [(right - left) / length, (below - above) / length] : [0, 0];
  };
}

function shadeBodies(
  page: PageGeometry,
  { box, body, distance, reach, axes }: Bodies,
  form: Form,
  shade: Shade,
  fields: PageFields,
  towards: (i: number) => readonly [number, number],
  glows: boolean,
): void {
  const { tone, glow, shadow } = fields;
  const width = box.right - box.left;
  const height = box.bottom - box.top;
  const place = { depth: 0, across: 0, down: 0 };
  const level = form.level ?? 1;
  const edgeward = new Edgeward(distance, width, height, form.faces ?? 0);
  for (let y = 0, o = 0; y < height; y++) {
    place.down = height > 1 ? y / (height - 1) : 0;
    for (let x = 0, i = (box.top + y) * page.width + box.left; x < width; x++, i++, o++) {
      const id = body[o];
      if (id === 0) continue;
      place.depth = Math.min(1, distance[o] / reach[id]);
      if (glows) {
        tone[i] = 255 * (SOURCE_EDGE + (1 - SOURCE_EDGE) * place.depth) + 0.5;
        continue;
      }
      let [nx, ny, lean] = [0, 0, 0];
      const axis = axes[id];
      if (axis) {
        const at = Math.round(x * axis.cos + y * axis.sin) - axis.first;
        const [least, most] = [axis.least[at], axis.most[at]];
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
      const own = form.fades
        ? form.fades(place.down)
        : level * shade(nx, ny, Math.sqrt(Math.max(0, 1 - nx * nx - ny * ny)), shadow[i] / 255);
      if (glow[i] === 0) {
        tone[i] = 255 * own + 0.5;
        continue;
      }
      const [gx, gy] = towards(i);
      const facing = lean === 0 ? 1 : Math.max(0, nx * gx + ny * gy);
      const lit = (glow[i] / 255) * (GLOW_ALL_ROUND + (1 - GLOW_ALL_ROUND) * facing);
      tone[i] = 255 * (1 - (1 - own) * (1 - GLOW_LIFTS * lit)) + 0.5;
    }
  }
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
    const dx = (distance[o - left] - distance[o + right]) / Math.max(1, left + right);
    const dy = (distance[o - above * width] - distance[o + below * width]) / Math.max(1, above + below);
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
