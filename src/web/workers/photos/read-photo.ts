import { type RgbaImage } from '../../../core/lineart/index.ts';

/** The pixels of a photo, upright as its camera says. @param longest at most so many pixels on the longer side */
export async function pixelsOf(photo: Blob, longest = Infinity): Promise<ImageData> {
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

export async function sizeOf(photo: Blob): Promise<{ width: number; height: number }> {
  const bitmap = await decoded(photo);
  const { width, height } = bitmap;
  bitmap.close();
  return { width, height };
}

export function pngOf({ width, height, data }: RgbaImage): Promise<Blob> {
  const canvas = new OffscreenCanvas(width, height);
  canvas.getContext('2d')!.putImageData(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width), 0, 0);
  return canvas.convertToBlob({ type: 'image/png' });
}

/** @throws RangeError for bytes that are no picture */
async function decoded(photo: Blob): Promise<ImageBitmap> {
  try {
    return await createImageBitmap(photo);
  } catch {
    throw new RangeError('This picture is broken and cannot be read to its end. Save or scan it again.');
  }
}
