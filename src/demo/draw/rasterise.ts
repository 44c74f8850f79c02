import sharp from 'sharp';

/** Pixels of a drawing, RGB, row by row. */
export interface Raster {
  width: number;
  height: number;
  data: Uint8Array;
}

/**
 * A drawing as pixels, `width` of them across.
 * @param hard no smoothing of edges, for keys whose colours are names
 */
export async function rasterise(svg: string, width: number, { hard = false } = {}): Promise<Raster> {
  // Drawings in millimetres grow with the square of the density.
  const at72 = (await sharp(Buffer.from(svg)).metadata()).width;
  const { data, info } = await sharp(Buffer.from(svg), {
    density: 72 * Math.sqrt(width / at72),
    limitInputPixels: false,
  })
    .flatten({ background: '#ffffff' })
    .resize({ width, kernel: hard ? 'nearest' : 'lanczos3' })
    .toColourspace('srgb')
    .raw()
    .toBuffer({ resolveWithObject: true });
  if (info.channels !== 3) throw new Error(`A drawing came out with ${info.channels} channels.`);
  return { width: info.width, height: info.height, data: new Uint8Array(data) };
}
