import { expose, transfer } from 'comlink';
import { hexOfLab, lampById } from '../../core/colour/index.ts';
import { type Paper, type PencilDeclaration, type PencilOptics, pencilOptics } from '../../core/laydown/index.ts';
import { type FormedThing, type Lighting, glowContrasts } from '../../core/light/index.ts';
import {
  type FindOptions,
  NO_REGION,
  type PointMm,
  type RegionMap,
  coarseInkShare,
  findRegions,
  inkShareOf,
  readSeen,
} from '../../core/lineart/index.ts';
import { type ProposeOptions, proposeThings, readPage } from '../../core/things/index.ts';
import { type PrintedInk, type ToneStack, pieceOf, renderPreview, zoneShare } from '../../core/preview/index.ts';
import { type Recipe, type Zone } from '../../core/recipe/index.ts';
import type { RegionGround, RegionsMeta } from '../../contracts/index.ts';
import { type LaidPage, laidOnInk, laidOnPaper } from '../../rendering/index.ts';
import { greysApart } from './greys-apart.ts';
import { checkpoints } from '../../core/run/index.ts';
import { layDeskLight } from '../desk/desk-light.ts';
import { type PageAsStored } from './kept-pages.ts';
import { type OpenPage, litPage, openPage, takeIn, wholeOf } from './open-pages.ts';
import { packedLabels } from './packed-labels.ts';
import { type Report, cancelJob, outcomeOf, runOf } from './jobs.ts';
import { type Part, cutOut, movedMends } from './part-of-page.ts';
import { withDensity } from './png-density.ts';
import { readGreyPicture, readColourPicture } from './read-picture.ts';

export interface PreviewRequest {
  things: readonly (FormedThing & { recipe: Recipe | null })[];
  lighting: Lighting;
  /** Where lines that run away from the viewer meet. */
  vanishing: PointMm | null;
  paper: Paper;
  /** What lies on regions before anything is laid, by region id. */
  grounds: readonly (readonly [number, RegionGround])[];
  pencils: readonly (PencilDeclaration & { id: string })[];
  /** How many layers of each thing are laid, by thing id; things that are not named show all of theirs. */
  upTo: Readonly<Record<string, number>>;
  /** Id of the lamp to see it by, or null for daylight. */
  lamp: string | null;
  /** Every how many pixels to look. */
  step: number;
  /** Whether this is a first look, which need not be exact along the lines. */
  first: boolean;
}

export type ZoneLook = 'veil' | 'grey';

export interface ZoneOnPage {
  regionIds: readonly number[];
  zone: Zone;
  look: ZoneLook;
  /** Every how many pixels to look. */
  step: number;
}

/** Opacity of the veil beside the chosen regions and inside them, 0..255, and its grey. */
const VEIL_OUTSIDE = 176;
const VEIL_INSIDE = 120;
const VEIL_GREY = 226;
/** Grey of a zone that is shown by itself. */
const ZONE_GREY = 150;
const MM_PER_INCH = 25.4;
/** A first look tells so many times fewer tones apart. */
const FIRST_EVERY = 4;
/** Rows of a picture that are painted at a time. */
const STRIP = 256;
/** Lines of equal value on the way from shadow to highlight. */
const ISOLINES = 7;

const optics = new Map<string, PencilOptics>();
const tables = new Map<string, ToneStack>();

const api = {
  cancel: cancelJob,

  /**
   * Reads a picture, finds its regions, and reads in the colours, where there are any, what lies on them already. The page
   * stays here under the key.
   * @returns the regions, their raster, and the raster packed as it is stored
   */
  find(jobId: string, key: string, pictureUrl: string, coloursUrl: string | null, wishes: FindOptions, report: Report) {
    return outcomeOf(async () => {
      const run = runOf(jobId, report);
      run.progress(0.01, 'reading the page');
      const map = await findRegions(await readGreyPicture(pictureUrl), wishes, run);
      const { labels, ...found } = map;
      const seen = coloursUrl ? seenOn(await readColourPicture(coloursUrl), map) : null;
      run.progress(0.97, 'keeping the regions');
      takeIn(key, { ...map, picture: pictureUrl });
      const packed = await packedLabels(labels);
      const copy = labels.slice();
      return transfer({ meta: { ...found, seen }, labels: copy, packed }, [copy.buffer, packed]);
    });
  },

  /** Finds the regions of a part of a picture as a trial, and paints them in greys that part neighbours. */
  tryOut(jobId: string, pictureUrl: string, part: Part, wishes: FindOptions, report: Report) {
    return outcomeOf(async () => {
      const whole = await readGreyPicture(pictureUrl);
      const map = await findRegions(cutOut(whole, part), movedMends(wishes, part), runOf(jobId, report));
      const asked = map.doubts.filter((doubt) => doubt.kind === 'gap' && !doubt.closed).length;
      const data = greysOf(map);
      const { width, height, regions } = map;
      return transfer({ width, height, data, regions: regions.length, asked }, [data.buffer]);
    });
  },

  /** Takes a page in under a key, unless it is here; the oldest but two is let go. */
  open(key: string, page: PageAsStored) {
    takeIn(key, page);
  },

  /** Proposes things for the regions of a page that are in none. */
  propose(jobId: string, key: string, alike: RegionMap['alike'], options: ProposeOptions, report: Report) {
    return outcomeOf(async () => {
      const page = openPage(key);
      page.reading ??= await readPage(page.grown, { ...page, regions: [...page.regions], alike }, runOf(jobId, report));
      return proposeThings(page.reading, options);
    });
  },

  /** The regions of a page in colours given by region id, four bytes each; clear beside them. */
  regionPicture(key: string, rgba: Uint8Array, step: number) {
    const page = openPage(key);
    const width = Math.ceil(page.width / step);
    const height = Math.ceil(page.height / step);
    const data = new Uint8ClampedArray(4 * width * height);
    for (let y = 0, p = 0; y < height; y++) {
      for (let x = 0; x < width; x++, p += 4) {
        const label = page.grown[y * step * page.width + x * step];
        if (4 * label < rgba.length) data.set(rgba.subarray(4 * label, 4 * label + 4), p);
      }
    }
    return transfer({ width, height, data }, [data.buffer]);
  },

  /**
   * The tone of the page as a grey picture with lines of equal value: what the light alone does, worked out at every so
   * many pixels.
   */
  tonePicture(key: string, things: readonly FormedThing[], lighting: Lighting, step: number, first: boolean) {
    const { width, height, grown, fields } = litPage(openPage(key), things, lighting, step, first);
    const { tone } = fields;
    const data = new Uint8ClampedArray(4 * width * height);
    const level = (i: number) => Math.floor((tone[i] * ISOLINES) / 256);
    for (let y = 0, i = 0; y < height; y++) {
      for (let x = 0; x < width; x++, i++) {
        const inside = grown[i] !== 0 && grown[i] !== NO_REGION;
        const line =
          x > 0 && y > 0 && grown[i] === grown[i - 1] && level(i) !== Math.min(level(i - 1), level(i - width));
        data[4 * i] = data[4 * i + 1] = data[4 * i + 2] = inside ? 84 + (tone[i] * 164) / 255 - (line ? 30 : 0) : 255;
        data[4 * i + 3] = 255;
      }
    }
    return transfer({ width, height, data }, [data.buffer]);
  },

  /** The highlights on some regions. */
  highlights(
    key: string,
    things: readonly FormedThing[],
    lighting: Lighting,
    { regionIds, step }: Pick<ZoneOnPage, 'regionIds' | 'step'>,
  ) {
    const own = new Set(regionIds);
    const { highlights } = litPage(openPage(key), things, lighting, step);
    return highlights.filter((highlight) => highlight.regionIds.some((id) => own.has(id)));
  },

  /** How each glow stands out from what surrounds it, from a coarse look. */
  glowContrasts(key: string, things: readonly FormedThing[], lighting: Lighting, step: number) {
    const lit = litPage(openPage(key), things, lighting, step);
    return glowContrasts(lit, things, lighting, lit.fields);
  },

  /**
   * One zone of some regions as a picture to lay over the page: a veil over everything else, thick beside the regions and
   * thinner inside them where the zone fades out; or grey where it lies, the darker the fuller.
   */
  zone(key: string, things: readonly FormedThing[], lighting: Lighting, { regionIds, zone, look, step }: ZoneOnPage) {
    const { width, height, grown, fields } = litPage(openPage(key), things, lighting, step);
    const share = zoneShare(zone, fields);
    const chosen = new Uint8Array(65_536);
    for (const id of regionIds) chosen[id] = 1;
    const data = new Uint8ClampedArray(4 * width * height);
    for (let i = 0, p = 0; i < grown.length; i++, p += 4) {
      const within = chosen[grown[i]] === 1;
      data[p] = data[p + 1] = data[p + 2] = look === 'veil' ? VEIL_GREY : ZONE_GREY;
      data[p + 3] =
        look === 'veil' ? (within ? VEIL_INSIDE * (1 - share(i)) : VEIL_OUTSIDE) : within ? 255 * share(i) : 0;
    }
    return transfer({ width, height, data }, [data.buffer]);
  },

  /**
   * Paints the page before anything is laid on it: light, grain and pencils are ready then, and the first palette is seen
   * at once.
   */
  async readAhead(key: string, request: PreviewRequest) {
    request.pencils.forEach(opticsOf);
    const { source } = await sourceOn(openPage(key), request);
    renderPreview(source);
  },

  /** What will come out on the page, printed lines and all; a first look leaves out what pencils lay over the lines. */
  async preview(key: string, request: PreviewRequest) {
    const page = openPage(key);
    const { source, lit } = await sourceOn(page, request);
    const image = renderPreview(
      lit === source ? source : pieceOf(source, wholeOf(page), page.pixelsPerMm / request.step, lit),
    );
    return transfer(image, [image.data.buffer]);
  },

  /** A square piece of the page as a loupe shows it, with its middle at a place, mm. */
  async closeUp(key: string, request: PreviewRequest, middle: PointMm, sideMm: number, pixels: number) {
    const { source, lit } = await sourceOn(openPage(key), { ...request, step: 1 });
    const piece = { left: middle.x - sideMm / 2, top: middle.y - sideMm / 2, widthMm: sideMm, heightMm: sideMm };
    const image = renderPreview(pieceOf(source, piece, pixels / sideMm, lit));
    return transfer(image, [image.data.buffer]);
  },

  /** The whole page as a PNG at so many dots an inch, as it lies under the lamp of the desk. */
  picture(jobId: string, key: string, request: PreviewRequest, dpi: number, report: Report) {
    return outcomeOf(async () => {
      const breathe = checkpoints(runOf(jobId, report));
      const page = openPage(key);
      await breathe(0.05, 'working out the light');
      const pixelsPerMm = dpi / MM_PER_INCH;
      const step = Math.max(1, Math.floor(page.pixelsPerMm / pixelsPerMm));
      const { source, lit } = await sourceOn(page, { ...request, step });
      await breathe(0.35, 'laying the pencils');
      const { widthMm, heightMm } = wholeOf(page);
      const canvas = new OffscreenCanvas(Math.round(widthMm * pixelsPerMm), Math.round(heightMm * pixelsPerMm));
      const context = canvas.getContext('2d')!;
      for (let top = 0; top < canvas.height; top += STRIP) {
        const rows = Math.min(STRIP, canvas.height - top);
        const strip = { left: 0, top: top / pixelsPerMm, widthMm, heightMm: rows / pixelsPerMm };
        const { data, width } = renderPreview(pieceOf(source, strip, pixelsPerMm, lit));
        context.putImageData(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width), 0, top);
        await breathe(0.35 + (0.5 * top) / canvas.height, 'painting the page');
      }
      layDeskLight(context, canvas.width, canvas.height);
      await breathe(0.9, 'writing the file');
      return withDensity(await canvas.convertToBlob({ type: 'image/png' }), dpi);
    });
  },
};
export type PageWorker = typeof api;
expose(api);

/** Light changes slowly: where every pixel is painted, it is worked out at so many a mm, and the others take the nearest. */
const LIT_PER_MM = 6;

/** What a picture of a page is painted from at every so many pixels, and where its light is from. */
async function sourceOn(page: OpenPage, request: PreviewRequest) {
  const { step, things, lighting, first } = request;
  const every = step > 1 ? step : Math.max(1, Math.round(page.pixelsPerMm / LIT_PER_MM));
  const lit = litPage(page, things, lighting, every, first);
  const laid = { ...laidOnPaper(laidOn(page, request), tables), ink: await inkOn(page, request) };
  if (every === step) {
    const source = { ...lit, labels: lit.grown, ...laid };
    return { source, lit: source };
  }
  const { width, height, pixelsPerMm, grown } = page;
  return { source: { width, height, pixelsPerMm, labels: grown, fields: lit.fields, ...laid }, lit };
}

function laidOn({ regions }: OpenPage, request: PreviewRequest): LaidPage {
  const { things, upTo, paper, grounds, lighting, vanishing } = request;
  const byId = new Map(request.pencils.map((pencil) => [pencil.id, pencil]));
  if (tables.size > 600) tables.clear();
  return {
    things,
    regions,
    upTo,
    paper,
    vanishing,
    grounds: new Map(grounds),
    glows: lighting.glows,
    lamp: request.lamp === null ? undefined : lampById(request.lamp),
    every: request.first ? FIRST_EVERY : 1,
    opticsOf: (id) => ({ optics: opticsOf(byId.get(id)!), key: JSON.stringify(byId.get(id)) }),
  };
}

/**
 * The printed lines at every so many pixels, with what pencils lay over them. Where the picture cannot be fetched just now
 * the page is painted without them, and they are asked for again the next time.
 */
async function inkOn(page: OpenPage, request: PreviewRequest): Promise<PrintedInk | null> {
  const { step, first } = request;
  page.ink ??= readGreyPicture(page.picture).then(inkShareOf);
  const whole = await page.ink.catch(() => null);
  if (whole === null) {
    page.ink = null;
    return null;
  }
  const sized = page.sizes.get(step);
  const ink = sized?.ink ?? coarseInkShare(whole, step);
  if (sized) sized.ink = ink;
  return first ? { ...ink, tables: null } : laidOnInk(laidOn(page, request), ink, tables);
}

function opticsOf(pencil: PencilDeclaration): PencilOptics {
  const key = JSON.stringify(pencil);
  let found = optics.get(key);
  if (!found) optics.set(key, (found = pencilOptics(pencil)));
  return found;
}

/** What lies on a page already, as it is stored. */
function seenOn({ width, height, data }: ImageData, map: RegionMap): RegionsMeta['seen'] {
  const rgb = new Uint8Array(3 * width * height);
  for (let i = 0, o = 0; o < rgb.length; i += 4, o += 3) rgb.set(data.subarray(i, i + 3), o);
  const { paper, grounds } = readSeen({ width, height, data: rgb }, map);
  return {
    paper: hexOfLab(paper),
    grounds: grounds.map(({ region, kind, lab }) => ({ region, kind, colour: hexOfLab(lab) })),
  };
}

/** Regions in five greys, ink black, what is no region white. */
function greysOf({ labels, neighbours, regions }: RegionMap): Uint8ClampedArray<ArrayBuffer> {
  const greys = greysApart(regions.length, neighbours);
  const data = new Uint8ClampedArray(4 * labels.length);
  for (let i = 0, p = 0; i < labels.length; i++, p += 4) {
    const label = labels[i];
    data[p] = data[p + 1] = data[p + 2] = label === 0 ? 24 : label === NO_REGION ? 255 : greys[label];
    data[p + 3] = 255;
  }
  return data;
}
