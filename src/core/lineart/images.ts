/** A grey picture: one byte a pixel, row by row from the top left, 0 black to 255 white. */
export interface GreyImage {
  width: number;
  height: number;
  data: Uint8Array;
}

/** A colour picture: four bytes a pixel (red, green, blue, alpha), row by row from the top left. */
export interface RgbaImage {
  width: number;
  height: number;
  data: Uint8ClampedArray;
}

/** A page on which no regions can be found, with a sentence that says why and what to do. */
export class LineArtError extends Error {
  constructor(sentence: string) {
    super(sentence);
    this.name = 'LineArtError';
  }
}

/** How light a pixel is, in the units of its channels, by luma. Source: ITU-R BT.601. */
export function lumaOf(r: number, g: number, b: number): number {
  return 0.299 * r + 0.587 * g + 0.114 * b;
}

/**
 * Grey of a colour picture by luma (ITU-R BT.601), with transparent parts taken as white paper.
 * @throws RangeError when the data does not hold width x height pixels.
 */
export function greyOfRgba({ width, height, data }: RgbaImage): GreyImage {
  if (data.length !== 4 * width * height) throw new RangeError('The picture holds fewer pixels than its size says.');
  const grey = new Uint8Array(width * height);
  for (let i = 0, p = 0; i < grey.length; i++, p += 4) {
    const luma = lumaOf(data[p]!, data[p + 1]!, data[p + 2]!);
    const alpha = data[p + 3]!;
    grey[i] = alpha === 255 ? luma + 0.5 : (luma * alpha) / 255 + 255 - alpha + 0.5;
  }
  return { width, height, data: grey };
}

/** The colours of a picture without its alpha: three bytes a pixel. */
export function rgbOfRgba({ width, height, data }: RgbaImage): { width: number; height: number; data: Uint8Array } {
  const rgb = new Uint8Array(3 * width * height);
  // By index: a view of each pixel takes ten times as long.
  for (let i = 0, o = 0; o < rgb.length; i += 4, o += 3) {
    rgb[o] = data[i]!;
    rgb[o + 1] = data[i + 1]!;
    rgb[o + 2] = data[i + 2]!;
  }
  return { width, height, data: rgb };
}
