import { expose } from 'comlink';
import { greyOfRgba } from '../../core/lineart/index.ts';
import { type Quad, findPageCorners, straightened } from '../../core/straighten/index.ts';
import { paperById } from '../../core/laydown/index.ts';
import { type ChartGrid, fitGrid, readChart } from '../../core/tray/index.ts';
import { type Report, cancelJob, outcomeOf, runOf } from './jobs.ts';

/** Charts are read at this longest side, pixels: patches are large. */
const CHART_READ_AT = 700;
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
      const { width, height, data } = await straightened(await pixelsOf(photo), quad, size, run);
      const canvas = new OffscreenCanvas(width, height);
      canvas.getContext('2d')!.putImageData(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width), 0, 0);
      return canvas.convertToBlob({ type: 'image/png' });
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
};

export type PhotoWorker = typeof api;
expose(api);

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
