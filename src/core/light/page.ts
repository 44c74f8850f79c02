import { type PageIndex, type Region, LINE_REACH_MM } from '../lineart/index.ts';

/** What the light of a page is computed from. Arrays are row by row. */
export interface PageGeometry {
  width: number;
  height: number;
  pixelsPerMm: number;
  /** Region id of each pixel, grown through the lines. */
  grown: Uint16Array;
  /** Pixels from each pixel to the nearest line, 0 on lines. */
  distance: Float32Array;
  regions: readonly Region[];
}

/** What a thing shows the colours of, and how much of them. */
export interface Source {
  thingId: string;
  /** Above 0 to 1. */
  weight: number;
}

/** A thing as light needs it. */
export interface FormedThing {
  id: string;
  regionIds: readonly number[];
  /** Id of its form. */
  form: string;
  /** Id of its material; null where nobody said. */
  material: string | null;
  /** Id of its finish, for what shines as metal; null for none. Default that of its material. */
  finish?: string | null;
  /** Whose colours it shows, at most {@link MOST_SOURCES}; see {@link sourcesOf}. */
  sources: readonly Source[];
}

/** A window of pixels, right and bottom exclusive. */
export interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** The window that holds all these regions, from white to white. */
export function innerBoxOf(regions: readonly Region[], { width, height, pixelsPerMm }: PageGeometry): Box {
  const px = (mm: number) => Math.round(mm * pixelsPerMm);
  return {
    left: Math.max(0, Math.min(...regions.map(({ box }) => px(box.left)))),
    top: Math.max(0, Math.min(...regions.map(({ box }) => px(box.top)))),
    right: Math.min(width, Math.max(...regions.map(({ box }) => px(box.right)))),
    bottom: Math.min(height, Math.max(...regions.map(({ box }) => px(box.bottom)))),
  };
}

/** The same with what they grow into the lines around them. */
export function boxOf(regions: readonly Region[], page: PageGeometry): Box {
  return widened(innerBoxOf(regions, page), LINE_REACH_MM * page.pixelsPerMm, page);
}

/** A window that is wider by so many pixels on all sides, within the page and at least a pixel wide. */
export function widened(
  { left, top, right, bottom }: Box,
  by: number,
  { width, height }: Pick<PageGeometry, 'width' | 'height'>,
): Box {
  const inside = (value: number, least: number, most: number) => Math.min(most, Math.max(least, Math.round(value)));
  return {
    left: inside(left - by, 0, width - 1),
    top: inside(top - by, 0, height - 1),
    right: inside(right + by, 1, width),
    bottom: inside(bottom + by, 1, height),
  };
}

/** Soft fields are worked out at no more than so many pixels a mm. */
const SOFT_PER_MM = 5;

/** Every how many pixels of a page are enough for what has only soft edges. */
export function coarseness({ pixelsPerMm }: PageGeometry): number {
  return Math.max(1, Math.floor(pixelsPerMm / SOFT_PER_MM));
}

/** A page at every so many pixels across and down, for a first look while a light is moved. */
export function coarsePage(page: PageGeometry, step: number): PageGeometry {
  if (step <= 1) return page;
  const distance = new Float32Array(Math.ceil(page.width / step) * Math.ceil(page.height / step));
  return atEvery(page, step, sampled(page.distance, page.width, step, distance));
}

/** The same from the index of a page, which need not know how far each pixel lies from a line. */
export function coarsePageOf(index: PageIndex, step: number): PageGeometry {
  return atEvery(index, step, index.distanceEvery(step));
}

/** @param distance at every so many pixels already, in pixels of the page */
function atEvery(page: Omit<PageGeometry, 'distance'>, step: number, distance: Float32Array): PageGeometry {
  const width = Math.ceil(page.width / step);
  const height = Math.ceil(page.height / step);
  return {
    width,
    height,
    grown: step === 1 ? page.grown : sampled(page.grown, page.width, step, new Uint16Array(width * height)),
    distance: step === 1 ? distance : distance.map((pixels) => pixels / step),
    pixelsPerMm: page.pixelsPerMm / step,
    regions: page.regions,
  };
}

/** Every so manieth pixel of a raster, across and down, written into another. */
function sampled<Raster extends Uint16Array | Float32Array>(
  raster: Raster,
  width: number,
  step: number,
  into: Raster,
): Raster {
  const across = Math.ceil(width / step);
  for (let o = 0; o < into.length; o++) into[o] = raster[Math.floor(o / across) * step * width + (o % across) * step]!;
  return into;
}
