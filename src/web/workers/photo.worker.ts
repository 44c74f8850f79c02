import { expose } from 'comlink';
import { type RgbaImage, greyOfRgba } from '../../core/lineart/index.ts';
import { type Quad, findPageCorners, straightened } from '../../core/straighten/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { CARD_MM, type CardName, cardNameIn, findCard, layOutCard, readCard } from '../../core/swatch-card/index.ts';
import { type ChartGrid, type Place, fitGrid, readChart, sampleBeside } from '../../core/tray/index.ts';
import { type Report, cancelJob, outcomeOf, runOf } from './jobs.ts';

/** Charts are read at this longest side, pixels: patches are large. */
const CHART_READ_AT = 700;
/** Colours are taken out of pictures of this longest side, pixels, from squares of twice this share of it. */
const SAMPLED_AT = 1600;
const SAMPLE_REACH = 0.008;
/** Cards are looked for at this longest side, pixels, and laid straight at so many pixels a mm. */
const CARD_FOUND_AT = 2400;
const CARD_PX_PER_MM = 6;
/** Corners are looked for on the photo at this longest side, pixels. */
const LOOKED_AT = 1200;

const api = {
  cancel: cancelJob,

  /** The corners of the page in a photograph, in pixels of the upright photo, or null; and the photo's size. */
  findPage(jobId: string, photo: Blob, report: Report) {
    return outcomeOf(async () => {
      runOf(jobId, report).progress(0.1, 'looking for the page');
      const { width, height, data } = await pixelsOf(photo, LOOKED_AT);
      const { width: across, height: down } = await sizeOf(photo);
      const quad = findPageCorners(greyOfRgba({ width, height, data }));
      const up = across / width;
      return { width: across, height: down, quad: quad?.map(({ x, y }) => ({ x: x * up, y: y * up })) ?? null };
    });
  },

  /** The page of a photograph as it lies, as a PNG of this size. */
  straighten(jobId: string, photo: Blob, quad: Quad, size: { width: number; height: number }, report: Report) {
    return outcomeOf(async () => {
      const run = runOf(jobId, report);
      run.progress(0.02, 'reading the photo');
      return pngOf(await straightened(await pixelsOf(photo), quad, size, run));
    });
  },

  /** The colours of a swatch chart's patches; where no grid is given, one is fitted to its rows and columns. */
  readChart(
    jobId: string,
    picture: Blob,
    wish: ChartGrid | { rows: number; columns: number },
    paper: string,
    report: Report,
  ) {
    return outcomeOf(async () => {
      const run = runOf(jobId, report);
      run.progress(0.1, 'reading the chart');
      const { width, height, data } = await pixelsOf(picture, CHART_READ_AT);
      const image = { width, height, data };
      const grid = 'left' in wish ? wish : fitGrid(image, wish.rows, wish.columns, paperById(paper));
      return { grid, cells: readChart(image, grid, paperById(paper)) };
    });
  },

  /** The colour of a place in a picture beside bare paper; places as shares of its sides. */
  sample(jobId: string, picture: Blob, place: Place, bare: Place, paper: string, report: Report) {
    return outcomeOf(async () => {
      runOf(jobId, report).progress(0.2, 'reading the colour');
      const image = await pixelsOf(picture, SAMPLED_AT);
      const at = ({ x, y }: Place) => ({ x: x * image.width, y: y * image.height });
      const reach = Math.max(2, SAMPLE_REACH * Math.max(image.width, image.height));
      return sampleBeside(image, at(place), at(bare), reach, paperById(paper));
    });
  },

  /** The swatch card in a picture, laid straight as a PNG, and what its boxes say that it is, if they can be read. */
  findCard(jobId: string, photo: Blob, report: Report) {
    return outcomeOf(async () => {
      const run = runOf(jobId, report);
      run.progress(0.05, 'looking for the card');
      const pixels = await pixelsOf(photo, CARD_FOUND_AT);
      const quad = findCard(greyOfRgba(pixels));
      if (!quad) {
        throw new RangeError(
          'No swatch card is seen here. All four round marks at its corners must lie in the picture, flat and in the light.',
        );
      }
      const size = { width: CARD_MM.width * CARD_PX_PER_MM, height: CARD_MM.height * CARD_PX_PER_MM };
      const image = await straightened(pixels, quad, size, run);
      return { picture: await pngOf(image), name: cardNameIn(image) };
    });
  },

  /** Every patch of a straightened card. */
  readCard(jobId: string, picture: Blob, rows: number, name: CardName, paper: string, report: Report) {
    return outcomeOf(async () => {
      runOf(jobId, report).progress(0.2, 'reading the patches');
      return readCard(await pixelsOf(picture), layOutCard(rows, name), paperById(paper));
    });
  },
};

export type PhotoWorker = typeof api;
expose(api);

function pngOf({ width, height, data }: RgbaImage): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.putImageData(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width), 0, 0);
  return canvas.convertToBlob({ type: 'image/png' });
}

async function sizeOf(photo: Blob): Promise<{ width: number; height: number }> {
  const bitmap = await decoded(photo);
  const { width, height } = bitmap;
  bitmap.close();
  return { width, height };
}

/** The pixels of a photo, upright as its camera says, at most so many on the longer side. */
async function pixelsOf(photo: Blob, longest = Infinity): Promise<ImageData> {
  const bitmap = await decoded(photo);
  const share = Math.min(1, longest / Math.max(bitmap.width, bitmap.height));
  // A sliver of a picture keeps a pixel of its shorter side.
  const side = (pixels: number) => Math.max(1, Math.round(pixels * share));
  const canvas = new OffscreenCanvas(side(bitmap.width), side(bitmap.height));
  const context = canvas.getContext('2d', { willReadFrequently: true })!;
  context.imageSmoothingQuality = 'high';
  context.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
  bitmap.close();
  return context.getImageData(0, 0, canvas.width, canvas.height);
}

async function decoded(photo: Blob): Promise<ImageBitmap> {
  try {
    return await createImageBitmap(photo);
  } catch {
    throw new RangeError('This picture is broken and cannot be read to its end. Save or scan it again.');
  }
}
