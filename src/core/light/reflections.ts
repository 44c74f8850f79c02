import { type Border, type PointMm, type Region, distanceTo } from '../lineart/index.ts';
import { MOST_SOURCES } from './fields.ts';
import { type Lighting } from './lighting.ts';
import { materialOf } from './materials.ts';
import { type Box, type FormedThing, type PageGeometry, type Source, boxOf, widened } from './page.ts';

/** Colours of neighbours arrive over so many mm. */
const REACH_MM = 14;
/** Still water shows what lies above it, more of that near the water line. */
const MIRRORS = { near: 0.95, far: 0.6 };
/** A ripple throws what is mirrored aside by so much to either side, mm, with waves so long near the line. */
const RIPPLE = { asideMm: 1.2, waveMm: 2.6 };

/** How much of its neighbours' colours a material shows, 0..1. */
export function reflectivity(material: string | null): number {
  return materialOf(material)?.shows ?? 0;
}

/**
 * Says whose colours arrive in each thing that shows any: for shiny, white and wet materials those of the neighbours,
 * by the length of the border, and of the sky; for water below a water line those of what it mirrors.
 * @param things from what lies in front to what lies behind
 * @param neighbours borders between regions
 * @returns for each thing that shows others at most {@link MOST_SOURCES} of them, what is seen most first
 */
export function sourcesOf(
  things: readonly Omit<FormedThing, 'form' | 'sources'>[],
  { regions, neighbours }: { regions: readonly Region[]; neighbours: readonly Border[] },
  { waterLineMm = null }: Pick<Lighting, 'waterLineMm'>,
): Map<string, Source[]> {
  const byId = new Map(regions.map((region) => [region.id, region]));
  const thingOf = new Map(things.flatMap(({ id, regionIds }) => regionIds.map((region) => [region, id] as const)));
  const borders = new Map<string, Map<string, number>>();
  const add = (of: string, other: string, length: number) => {
    const own = borders.get(of) ?? new Map<string, number>();
    borders.set(of, own.set(other, (own.get(other) ?? 0) + length));
  };
  for (const { a, b, lengthMm } of neighbours) {
    const [p, q] = [thingOf.get(a), thingOf.get(b)];
    if (!p || !q || p === q) continue;
    add(p, q, lengthMm);
    add(q, p, lengthMm);
  }
  const sky = things.find(({ material }) => materialOf(material)?.overhead);
  const sources = things.flatMap(({ id, regionIds, material }): [string, Source[]][] => {
    const shows = reflectivity(material);
    if (shows === 0) return [];
    const own = regionIds.flatMap((region) => byId.get(region) ?? []);
    const seen =
      materialOf(material)?.mirrors && waterLineMm !== null
        ? mirroredIn(own, id, things, byId, waterLineMm)
        : new Map(borders.get(id) ?? []);
    const most = Math.max(0, ...seen.values());
    if (sky && sky.id !== id && !materialOf(material)?.mirrors && !seen.has(sky.id)) seen.set(sky.id, most / 4 || 1);
    const ranked = [...seen].sort((p, q) => q[1] - p[1]).slice(0, MOST_SOURCES);
    if (ranked.length === 0) return [];
    const largest = ranked[0]![1];
    return [[id, ranked.map(([thingId, much]) => ({ thingId, weight: shows * Math.sqrt(much / largest) }))]];
  });
  return new Map(sources);
}

/** By how many mm2 the boxes of other things' regions, turned over at the water line, overlap a water's. */
function mirroredIn(
  water: readonly Region[],
  waterId: string,
  things: readonly Omit<FormedThing, 'form' | 'sources'>[],
  byId: ReadonlyMap<number, Region>,
  lineMm: number,
): Map<string, number> {
  const seen = new Map<string, number>();
  for (const { id, regionIds } of things) {
    if (id === waterId) continue;
    let overlap = 0;
    for (const region of regionIds.flatMap((each) => byId.get(each) ?? [])) {
      const { left, right, top, bottom } = region.box;
      if (top >= lineMm) continue;
      const turned = { left, right, top: 2 * lineMm - Math.min(bottom, lineMm), bottom: 2 * lineMm - top };
      const filled = region.areaMm2 / Math.max(0.01, (right - left) * (bottom - top));
      for (const { box } of water) {
        const wide = Math.min(turned.right, box.right) - Math.max(turned.left, box.left);
        const high = Math.min(turned.bottom, box.bottom) - Math.max(turned.top, box.top);
        if (wide > 0 && high > 0) overlap += wide * high * filled;
      }
    }
    if (overlap > 0) seen.set(id, overlap);
  }
  return seen;
}

/** What arrives of neighbours' colours on a page. */
export interface Reflections {
  /** 0 to 1 for each pixel, whichever way a surface faces. */
  strength: Float32Array;
  /** Place among the thing's sources of the one that arrives. */
  source: Uint8Array;
}

/** Works out what arrives of its sources' colours at each pixel of each thing. */
export function reflections(
  page: PageGeometry,
  things: readonly FormedThing[],
  lighting: Pick<Lighting, 'waterLineMm' | 'rippled'>,
): Reflections {
  const strength = new Float32Array(page.grown.length);
  const source = new Uint8Array(page.grown.length);
  const orderOf = new Int32Array(65_536).fill(-1);
  things.forEach(({ regionIds }, order) => regionIds.forEach((id) => (orderOf[id] = order)));
  const orders = new Map(things.map(({ id }, order) => [id, order]));
  const byId = new Map(page.regions.map((region) => [region.id, region]));
  things.forEach((thing, order) => {
    const regions = thing.regionIds.flatMap((id) => byId.get(id) ?? []);
    if (regions.length === 0) return;
    const box = boxOf(regions, page);
    const take = (i: number, much: number, place: number) => {
      if (much <= strength[i]!) return;
      strength[i] = much;
      source[i] = place;
    };
    const mirrors = materialOf(thing.material)?.mirrors && (lighting.waterLineMm ?? null) !== null;
    thing.sources.forEach(({ thingId, weight }, place) => {
      const other = orders.get(thingId);
      if (other === undefined) return;
      if (mirrors) mirror(page, box, order, other, lighting, orderOf, (i, much) => take(i, weight * much, place));
      else if (materialOf(things[other]!.material)?.overhead)
        fromAbove(page, box, order, orderOf, (i, much) => take(i, weight * much, place));
      else fromBeside(page, box, order, other, orderOf, (i, much) => take(i, weight * much, place));
    });
  });
  return { strength, source };
}

type Take = (i: number, much: number) => void;

/** A neighbour's colour: less with the way from it. */
function fromBeside(page: PageGeometry, own: Box, order: number, other: number, orderOf: Int32Array, take: Take): void {
  const reach = REACH_MM * page.pixelsPerMm;
  const box = widened(own, reach, page);
  const width = box.right - box.left;
  const mask = new Uint8Array(width * (box.bottom - box.top));
  eachPixel(page, box, (i, o) => {
    if (orderOf[page.grown[i]!] === other) mask[o] = 1;
  });
  if (!mask.includes(1)) return;
  const distance = distanceTo(mask, width, box.bottom - box.top);
  eachPixel(page, box, (i, o) => {
    if (orderOf[page.grown[i]!] === order && distance[o]! < reach) take(i, 1 - distance[o]! / reach);
  });
}

/** The sky's: on whatever faces up, less towards the foot of the thing. */
function fromAbove(page: PageGeometry, own: Box, order: number, orderOf: Int32Array, take: Take): void {
  const height = Math.max(1, own.bottom - own.top);
  eachPixel(page, own, (i) => {
    if (orderOf[page.grown[i]!] === order) take(i, 0.8 * (1 - (Math.floor(i / page.width) - own.top) / height));
  });
}

/** What still water shows: the page above the line, upside down. */
function mirror(
  page: PageGeometry,
  own: Box,
  order: number,
  other: number,
  { waterLineMm, rippled }: Pick<Lighting, 'waterLineMm' | 'rippled'>,
  orderOf: Int32Array,
  take: Take,
): void {
  const { width, height, pixelsPerMm, grown } = page;
  const line = waterLineMm! * pixelsPerMm;
  eachPixel(page, own, (i) => {
    if (orderOf[grown[i]!] !== order) return;
    const [x, y] = [i % width, Math.floor(i / width)];
    const at = mirroredAt({ x, y }, line, rippled ? pixelsPerMm : 0);
    const [mx, my] = [Math.round(at.x), Math.round(at.y)];
    if (mx < 0 || mx >= width || my < 0 || my >= line || y < line) return;
    if (orderOf[grown[my * width + mx]!] !== other) return;
    take(i, MIRRORS.near + (MIRRORS.far - MIRRORS.near) * Math.min(1, (y - line) / Math.max(1, height - line)));
  });
}

/**
 * Where the page is seen that still water shows at a pixel.
 * @param line the water line, pixels from the top: pixel edges, so that the row below it shows the row above it
 * @param ripplePerMm pixels a mm for ripples; 0 for a mirror without any
 */
export function mirroredAt({ x, y }: PointMm, line: number, ripplePerMm: number): PointMm {
  const down = y + 0.5 - line;
  const turned = line - down - 0.5;
  if (ripplePerMm === 0) return { x, y: turned };
  // Waves look longer the nearer they are to the one who looks.
  const phase = Math.sqrt(Math.max(0, down / ripplePerMm)) * ((2 * Math.PI) / Math.sqrt(RIPPLE.waveMm));
  return { x: x + RIPPLE.asideMm * ripplePerMm * Math.sin(phase), y: turned };
}

function eachPixel({ width }: PageGeometry, box: Box, look: (i: number, o: number) => void): void {
  for (let y = box.top, o = 0; y < box.bottom; y++) {
    for (let x = box.left, i = y * width + box.left; x < box.right; x++, i++, o++) look(i, o);
  }
}
