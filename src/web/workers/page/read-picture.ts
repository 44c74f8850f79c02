import { type GreyImage, greyOfRgba } from '../../../core/lineart/index.ts';

/** The last grey picture that was read: regions and lines are found on the same one. */
let lastRead: { url: string; grey: Promise<GreyImage> } | null = null;

/** A picture in greys, as regions and lines are read from it; asked for again, the last one is not read again. */
export function readGreyPicture(url: string): Promise<GreyImage> {
  if (lastRead?.url !== url) {
    const grey = readGrey(url);
    lastRead = { url, grey };
    grey.catch(() => (lastRead = null));
  }
  return lastRead!.grey;
}

/** Rows of a picture that are turned to grey at a time: its colours are never all there at once. */
const STRIP = 256;

async function readGrey(url: string): Promise<GreyImage> {
  const bitmap = await fetchPicture(url);
  const { width, height } = bitmap;
  const context = new OffscreenCanvas(width, STRIP).getContext('2d', { willReadFrequently: true })!;
  const data = new Uint8Array(width * height);
  for (let top = 0; top < height; top += STRIP) {
    const rows = Math.min(STRIP, height - top);
    context.drawImage(bitmap, 0, top, width, rows, 0, 0, width, rows);
    data.set(greyOfRgba(context.getImageData(0, 0, width, rows)).data, top * width);
  }
  bitmap.close();
  return { width, height, data };
}

/** A picture in its colours. */
export async function readColourPicture(url: string): Promise<ImageData> {
  const bitmap = await fetchPicture(url);
  const context = new OffscreenCanvas(bitmap.width, bitmap.height).getContext('2d', { willReadFrequently: true })!;
  context.drawImage(bitmap, 0, 0);
  const { width, height } = bitmap;
  bitmap.close();
  return context.getImageData(0, 0, width, height);
}

async function fetchPicture(url: string): Promise<ImageBitmap> {
  const response = await fetch(url);
  if (!response.ok) throw new RangeError('The picture of this page could not be read. Reload the page and try again.');
  return createImageBitmap(await response.blob());
}
