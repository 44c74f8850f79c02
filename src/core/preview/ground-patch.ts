import { type Ground } from '../laydown/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { TILE, grainOf, grainTile } from './grain.ts';
import { paintPixel, shadeOf } from './shade.ts';

/**
 * A ground as a square of its paper seen close, specks and all. Its mean is the colour that the layer model says.
 * @param size side in pixels
 * @param grainMm width of a feature of the paper's grain, mm
 */
export function groundPatch(ground: Ground, size: number, grainMm: number, pixelsPerMm: number): RgbaImage {
  const shade = shadeOf(ground);
  const data = new Uint8ClampedArray(4 * size * size);
  const { stride, shares } = grainOf(grainMm, pixelsPerMm);
  const [tooth, mask] = [grainTile(), TILE - 1];
  for (let y = 0, p = 0; y < size; y++) {
    for (let x = 0; x < size; x++, p += 4) {
      const value = tooth[((stride * y) & mask) * TILE + ((stride * x) & mask)]!;
      paintPixel(data, p, shade, shares[(shade.specks << 8) | value]!);
    }
  }
  return { width: size, height: size, data };
}
