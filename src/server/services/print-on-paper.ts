import { labOfHex, rgbOfLab } from '../../core/colour/index.ts';
import { paperById } from '../../core/laydown/index.ts';

/**
 * A print as it looks on its paper, sRGB, three bytes a pixel.
 *
 * @param grey the print on white, a byte a pixel
 * @param paperId of the paper that it lies on
 * @throws RangeError when there is no such paper
 */
export function printOnPaper(grey: Uint8Array, paperId: string): Uint8Array {
  const tint = rgbOfLab(labOfHex(paperById(paperId).tint));
  const pixels = new Uint8Array(3 * grey.length);
  for (let c = 0; c < 3; c++) {
    const part = tint[c]! / 255;
    for (let i = 0; i < grey.length; i++) pixels[3 * i + c] = part * grey[i]!;
  }
  return pixels;
}
