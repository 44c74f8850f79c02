import { type FormedThing, type Lighting, type PageGeometry, coarsePage, lightOfPage } from '../../core/light/index.ts';
import {
  type InkShare,
  LINE_REACH_MM,
  type Region,
  distanceToLines,
  growLabels,
  inkShareOf,
} from '../../core/lineart/index.ts';
import { type PageReading } from '../../core/things/index.ts';
import { type PageAsStored, MOST_PAGES } from './kept-pages.ts';
import { readGreyPicture } from './read-picture.ts';

type LightOfPage = ReturnType<typeof lightOfPage>;

/** A page as this worker keeps it, so that labels cross over once. */
export interface OpenPage {
  width: number;
  height: number;
  pixelsPerMm: number;
  labels: Uint16Array;
  grown: Uint16Array;
  /** To the nearest line, once the light asks for it. */
  distance: Float32Array | null;
  regions: readonly Region[];
  /** The page at every so many pixels, once that was asked for, and the light on it by what that was worked out for. */
  sizes: Map<number, { geometry: PageGeometry; key: string; light: LightOfPage | null; ink: InkShare | null }>;
  /** Its printed lines, once a preview asks for them. */
  picture: string;
  ink: Promise<InkShare> | null;
  /** What it shows of its things, once that was asked for. */
  reading: PageReading | null;
}

const pages = new Map<string, OpenPage>();

/** Takes a page in under a key, unless it is here already; the oldest beyond the most that are kept is let go. */
export function takeIn(key: string, page: PageAsStored): void {
  if (pages.has(key)) return;
  const grown = growLabels(page.labels, page.width, page.height, Math.ceil(LINE_REACH_MM * page.pixelsPerMm));
  const { width, height, pixelsPerMm, labels, regions, picture } = page;
  const opened: OpenPage = {
    width,
    height,
    pixelsPerMm,
    labels,
    grown,
    distance: null,
    regions,
    sizes: new Map(),
    picture,
    ink: null,
    reading: null,
  };
  pages.set(key, opened);
  // Read ahead, so that the first picture of a palette need not wait for it.
  opened.ink = readGreyPicture(picture).then(inkShareOf);
  opened.ink.catch(() => (opened.ink = null));
  if (pages.size > MOST_PAGES) pages.delete(pages.keys().next().value!);
}

/** The page of a key. @throws Error when it is not open */
export function openPage(key: string): OpenPage {
  const page = pages.get(key);
  if (!page) throw new Error(`Page ${key} has not been opened.`);
  return page;
}

/** The page at every so many pixels with what light does on it. */
export function litPage(
  page: OpenPage,
  things: readonly FormedThing[],
  lighting: Lighting,
  step: number,
  first = false,
) {
  const sized = page.sizes.get(step) ?? { geometry: sizeOf(page, step, first), key: '', light: null, ink: null };
  page.sizes.set(step, sized);
  const key = JSON.stringify([
    things.map(({ id, regionIds, form, material, finish, sources }) => [
      id,
      regionIds,
      form,
      material,
      finish,
      sources,
    ]),
    lighting,
  ]);
  if (sized.key !== key || !sized.light) {
    sized.light = lightOfPage(sized.geometry, things, lighting);
    sized.key = key;
  }
  return { ...sized.geometry, ...sized.light };
}

function sizeOf(page: OpenPage, step: number, first: boolean): PageGeometry {
  if (first && page.distance === null) return roughly(page, step);
  const distance = (page.distance ??= distanceToLines(page.labels, page.width, page.height));
  return coarsePage({ ...page, distance }, step);
}

/** The page at every so many pixels without waiting for exact distances: lines fill every pixel that they touch. */
function roughly(page: OpenPage, step: number): PageGeometry {
  const sampled = coarsePage({ ...page, distance: new Float32Array(page.labels.length) }, step);
  const { width, height } = sampled;
  const labels = new Uint16Array(width * height).fill(1);
  for (let y = 0, i = 0; y < page.height; y++) {
    const row = Math.floor(y / step) * width;
    for (let x = 0; x < page.width; x++, i++) if (page.labels[i] === 0) labels[row + Math.floor(x / step)] = 0;
  }
  return { ...sampled, distance: distanceToLines(labels, width, height) };
}

/** All of a page, mm. */
export function wholeOf({ width, height, pixelsPerMm }: OpenPage) {
  return { left: 0, top: 0, widthMm: width / pixelsPerMm, heightMm: height / pixelsPerMm };
}
