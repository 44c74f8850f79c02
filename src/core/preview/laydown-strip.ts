import { labOfSpectrum, rgbOfLab } from '../colour/index.ts';
import { type Paper, type PencilOptics, bareGround, groundAfterPasses } from '../laydown/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { TILE, grainOf } from './grain.ts';
import { type Shade, pigmentShare, shadeOf } from './shade.ts';

const SAMPLES = 40;

/**
 * A pencil's laydown as a strip: pressure rises from a whisper at the left to burnishing at the right, on this paper,
 * grain and all, with the ragged edge that a hand leaves.
 * @param width,height size in pixels
 * @param shift moves the grain, so that strips side by side do not repeat
 */
export function laydownStrip(
  pencil: PencilOptics,
  paper: Paper,
  { width, height, shift = 0 }: { width: number; height: number; shift?: number },
): RgbaImage {
  const ground = bareGround(paper);
  const bare = rgbOfLab(labOfSpectrum(ground.bare));
  const shades = Array.from({ length: SAMPLES }, (_, i) => {
    const pressure = 0.08 + 0.92 * (i / (SAMPLES - 1)) ** 1.4;
    const passes = i > SAMPLES * 0.75 ? 2 : 1;
    return shadeOf(groundAfterPasses(ground, new Array(passes).fill({ pencil, pressure })), bare);
  });
  const data = new Uint8ClampedArray(4 * width * height);
  const mask = TILE - 1;
  const paperGrain = grainOf('slanted');
  // A strip is seen from further away than the page: two grain pixels to one of its own.
  const coarse = 2;
  for (let y = 0, p = 0; y < height; y++) {
    const row = ((coarse * y + shift * 37) & mask) * TILE;
    for (let x = 0; x < width; x++, p += 4) {
      const grain = paperGrain[row + ((coarse * x + shift * 91) & mask)];
      const at = (x / Math.max(1, width - 1)) * (SAMPLES - 1);
      const edge = Math.min(x, y, width - 1 - x, height - 1 - y);
      // Strokes turn back within a few pixels of the edge: bare valleys widen there.
      const turnBack = edge < 5 ? (5 - edge) * 34 : 0;
      paint(data, p, shades[Math.round(at)], grain - turnBack, bare);
    }
  }
  return { width, height, data };
}

function paint(data: Uint8ClampedArray, p: number, shade: Shade, grain: number, bare: readonly number[]): void {
  const share = pigmentShare(grain, shade.specks);
  for (let c = 0; c < 3; c++) data[p + c] = bare[c] + (shade.covered[c] - bare[c]) * share;
  data[p + 3] = 255;
}
