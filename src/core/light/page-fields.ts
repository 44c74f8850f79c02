import { bodiesOf, boxesOfBodies, partsOfRegions } from './bodies.ts';
import { castShadows } from './cast-shadows.ts';
import { type Field, VALUES_EACH_SOURCE } from './fields.ts';
import { finishOf } from './finish-of.ts';
import { type Form, formById } from './forms/index.ts';
import { type GlowField, spreadGlow } from './glow.ts';
import { type Highlight, layHighlights } from './highlights.ts';
import { type Lighting, checkLighting } from './lighting.ts';
import type { MainLight } from './schemas.ts';
import { materialById, materialOf } from './materials.ts';
import { type FormedThing, type PageGeometry, boxOf, coarsePage, coarseness, innerBoxOf } from './page.ts';
import { reflections } from './reflections.ts';
import { shadeBodies } from './shade-bodies.ts';
import { shadeOf } from './shade.ts';
import { shineOf } from './shine.ts';
import { enlargedEvenly, gradientOf } from './soft-fields.ts';

/** What light does on a page: every field for each pixel, 0..255, see {@link FIELDS}. */
export type PageFields = Readonly<Record<Field, Uint8Array>>;

/** Where a main light has no side, surfaces are taken to turn to and from the upper left. */
const UPPER_LEFT = 225;
/** A surface that faces the viewer. */
const FACING = 128;

/**
 * The light of a page as fields, and its highlights as shapes. Regions outside every thing are taken as raised, behind all things.
 * @param things from what lies in front to what lies behind
 * @throws RangeError for lights that cannot be, see {@link checkLighting}, and for a form, a material or a
 * finish that is not known
 */
export function lightOfPage(
  page: PageGeometry,
  things: readonly FormedThing[],
  lighting: Lighting,
): { fields: PageFields; highlights: Highlight[] } {
  checkLighting(lighting);
  const { orderOf, takes, sources } = standing(page, things, lighting);
  const size = page.grown.length;
  const { arriving, source } = arrivingOn(page, things, lighting);
  const glow = glowOf(page, things, lighting);
  const surface = {
    tone: new Uint8Array(size),
    along: new Uint8Array(size),
    out: new Uint8Array(size),
    lit: glow.slice(),
    turn: new Uint8Array(size).fill(FACING),
    reflected: new Uint8Array(size),
    arriving,
    glow,
    shadow: castShadows(page, orderOf, takes, lighting.main),
    shade: shadeOf(lighting.main),
    side: sideOf(lighting.main),
    glowFrom: gradientOf(page, glow),
    reflectedFrom: gradientOf(page, arriving),
  };
  const named = new Set(things.flatMap(({ regionIds }) => regionIds));
  const rest = page.regions.flatMap(({ id }) => (named.has(id) ? [] : [id]));
  const byId = new Map(page.regions.map((region) => [region.id, region]));
  const unnamed: FormedThing = { id: '', regionIds: rest, form: 'raised', material: null, sources: [] };
  const highlights: Highlight[] = [];
  for (const { id, regionIds, form: formId, ...made } of [...things, unnamed]) {
    const own = regionIds.flatMap((regionId) => byId.get(regionId) ?? []);
    if (own.length === 0) continue;
    const order = orderOf[own[0]!.id]!;
    const form = formById(formId);
    const whole = innerBoxOf(own, page);
    const glows = sources.has(id);
    const material = made.material === null ? null : materialById(made.material);
    const finish = finishOf(made);
    const shine =
      finish === null || form.fades || !leans(form) ? null : shineOf(finish, surface.side, page.pixelsPerMm);
    // What stands before a light, is cut in faces or shines as metal has its palest places by that.
    const edge = lighting.main.kind === 'behind' || glows || form.fades || finish ? undefined : material?.highlight;
    // Each region of its own is looked at in its own window.
    const groups = form.over === 'region' ? own.map((region) => [region]) : [own];
    const parts = form.over === 'region' && own.length > 1 ? partsOfRegions(page, own) : null;
    for (const group of groups) {
      const ids = group.map((region) => region.id);
      const bodies = bodiesOf(page, boxOf(group, page), ids, form, (regionId) => orderOf[regionId]! < order);
      const count = bodies.reach.length - 1;
      const ownParts =
        form.over === 'region' || count === 1
          ? [whole, parts?.get(ids[0]!) ?? whole]
          : boxesOfBodies(bodies.box, bodies.body, count);
      shadeBodies(page, bodies, form, whole, ownParts, surface, shine, glows);
      if (edge && !form.faces && leans(form))
        highlights.push(...layHighlights(page, bodies, form, ids, edge, surface.tone));
    }
  }
  const { tone, lit, shadow, along, out, turn, reflected } = surface;
  for (let i = 0; i < size; i++) {
    reflected[i] = source[i]! * VALUES_EACH_SOURCE + ((reflected[i]! * (VALUES_EACH_SOURCE - 1) + 127) >> 8);
  }
  return { fields: { tone, glow, lit, shadow, along, out, turn, reflect: reflected }, highlights };
}

/** The fields alone, see {@link lightOfPage}. */
export function pageFields(page: PageGeometry, things: readonly FormedThing[], lighting: Lighting): PageFields {
  return lightOfPage(page, things, lighting).fields;
}

/** Whether a surface leans anywhere. */
function leans({ lean }: Form): boolean {
  return lean({ depth: 0, across: 1, down: 0.5, toward: 0.5, beside: 0 }) !== 0;
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
    return spreadGlow(page, glow, source < 0 ? [] : things[source]!.regionIds, blocks);
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
    const shaded = !materialOf(material)?.shadowless && !sources.has(id);
    for (const regionId of regionIds) {
      orderOf[regionId] = order;
      takes[regionId] = Number(shaded);
    }
  });
  return { orderOf, takes, sources };
}

/** The side that a main light comes from, a unit vector on the page, y down. */
function sideOf(light: MainLight): readonly [number, number] {
  const degrees = light.kind === 'direction' ? light.azimuthDegrees : UPPER_LEFT;
  return [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
}

/** A glow is worked out at so many pixels over its reach, or at the page's own where that is coarser. */
const PIXELS_OF_REACH = 160;

/**
 * All glows of a page in one, at each place the brightest: worked out coarsely, the further they reach the more, for they
 * have no edges but soft ones.
 */
function glowOf(page: PageGeometry, things: readonly FormedThing[], lighting: Lighting): Uint8Array {
  const out = new Uint8Array(page.grown.length);
  const bySteps = new Map<number, Lighting['glows'][number][]>();
  for (const glow of lighting.glows) {
    const step = Math.max(coarseness(page), Math.floor((page.pixelsPerMm * glow.reachMm) / PIXELS_OF_REACH));
    bySteps.set(step, [...(bySteps.get(step) ?? []), glow]);
  }
  for (const [step, glows] of bySteps) {
    const coarse = coarsePage(page, step);
    const all = new Float32Array(coarse.grown.length);
    for (const field of glowFields(coarse, things, { ...lighting, glows })) {
      if (!field) continue;
      const { box, glow } = field;
      for (let y = box.top, o = 0; y < box.bottom; y++) {
        for (let x = box.left, i = y * coarse.width + x; x < box.right; x++, i++, o++) {
          if (glow[o]! > all[i]!) all[i] = glow[o]!;
        }
      }
    }
    enlargedEvenly(page, coarse, all, step, (i, value) => {
      const lit = 255 * value + 0.5;
      if (lit > out[i]!) out[i] = lit;
    });
  }
  return out;
}

/** What arrives of neighbours' colours, 0..255, and whose, coarsely too. */
function arrivingOn(page: PageGeometry, things: readonly FormedThing[], lighting: Lighting) {
  const arriving = new Uint8Array(page.grown.length);
  const source = new Uint8Array(page.grown.length);
  if (things.every(({ sources }) => sources.length === 0)) return { arriving, source };
  const step = coarseness(page);
  const coarse = coarsePage(page, step);
  const found = reflections(coarse, things, lighting);
  enlargedEvenly(page, coarse, found.strength, step, (i, value) => (arriving[i] = 255 * value + 0.5));
  for (let y = 0, i = 0; y < page.height; y++) {
    const row = Math.min(coarse.height - 1, Math.floor(y / step)) * coarse.width;
    for (let x = 0; x < page.width; x++, i++) source[i] = found.source[row + Math.floor(x / step)]!;
  }
  return { arriving, source };
}
