import { type Lamp } from '../colour/index.ts';
import { type Paper, type PencilOptics, bareGround, groundAfterPasses } from '../laydown/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { TILE, grainOf, grainTile } from './grain.ts';
import { paintPixel, shadeOf } from './shade.ts';

const SAMPLES = 40;
/** A strip is shown about twice as large as it is laid. */
const PIXELS_PER_MM = 8;

/**
 * A pencil's laydown as a strip: pressure rises from a whisper at the left to burnishing at the right, on this paper,
 * grain and all, with the ragged edge that a hand leaves.
 * @param width,height size in pixels
 * @param lamp to see it by; default daylight
 * @param shift moves the grain, so that strips side by side do not repeat
 */
export function laydownStrip(
  pencil: PencilOptics,
  paper: Paper,
  { width, height, shift = 0, lamp }: { width: number; height: number; shift?: number; lamp?: Lamp },
): RgbaImage {
  const ground = bareGround(paper);
  const shades = Array.from({ length: SAMPLES }, (_, i) => {
    const pressure = 0.08 + 0.92 * (i / (SAMPLES - 1)) ** 1.4;
    const passes = i > SAMPLES * 0.75 ? 2 : 1;
    return shadeOf(groundAfterPasses(ground, new Array(passes).fill({ pencil, pressure })), lamp);
  });
  const data = new Uint8ClampedArray(4 * width * height);
  const { stride, shares } = grainOf(paper.grainMm, PIXELS_PER_MM);
  const [tooth, mask] = [grainTile(), TILE - 1];
  for (let y = 0, p = 0; y < height; y++) {
    const row = ((stride * y + shift * 37) & mask) * TILE;
    for (let x = 0; x < width; x++, p += 4) {
      const shade = shades[Math.round((x / Math.max(1, width - 1)) * (SAMPLES - 1))]!;
      const edge = Math.min(x, y, width - 1 - x, height - 1 - y);
      // Strokes turn back within a few pixels of the edge: bare valleys widen there.
      const turnBack = edge < 5 ? (5 - edge) * 34 : 0;
      const value = tooth[row + ((stride * x + shift * 91) & mask)]!;
      paintPixel(data, p, shade, shares[(Math.min(255, shade.specks + turnBack) << 8) | value]!);
    }
  }
  return { width, height, data };
}
