import { labOfSpectrum, rgbOfLab } from '../colour/index.ts';
import { type Ground } from '../laydown/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { TILE, grainOf } from './grain.ts';
import { pigmentShare, shadeOf } from './shade.ts';

/**
 * A ground as a square of toothed paper seen close, specks and all. Its mean is the colour that the layer model says.
 * @param size side in pixels
 */
export function groundPatch(ground: Ground, size: number): RgbaImage {
  const bare = rgbOfLab(labOfSpectrum(ground.bare));
  const shade = shadeOf(ground, bare);
  const data = new Uint8ClampedArray(4 * size * size);
  const mask = TILE - 1;
  const paperGrain = grainOf('slanted');
  for (let y = 0, p = 0; y < size; y++) {
    for (let x = 0; x < size; x++, p += 4) {
      const share = pigmentShare(paperGrain[(y & mask) * TILE + (x & mask)], shade.specks);
      for (let c = 0; c < 3; c++) data[p + c] = bare[c] + (shade.covered[c] - bare[c]) * share;
      data[p + 3] = 255;
    }
  }
  return { width: size, height: size, data };
}
