import { type RgbaImage } from '../lineart/index.ts';
import { type Run, checkpoints, quietRun } from '../run/index.ts';
import { perspectiveOf } from './perspective.ts';
import { type Quad } from './quad.ts';

/** Rows between two looks at whether to go on. */
const STRIP = 48;

/**
 * The page of a photograph as it lies: seen from straight above, its corners in the corners of the new picture.
 * @param size of the new picture, pixels
 * @throws InvalidQuadError when the corners are not those of a flat page
 * @throws RangeError for a size below one pixel
 * @throws CancelledError when the run is cancelled
 */
export async function straightened(
  photo: RgbaImage,
  quad: Quad,
  { width, height }: { width: number; height: number },
  run: Run = quietRun,
): Promise<RgbaImage> {
  if (!(width >= 1 && height >= 1)) throw new RangeError('A straightened page is at least one pixel wide and high.');
  const inPhoto = perspectiveOf(quad);
  const checkpoint = checkpoints(run);
  const data = new Uint8ClampedArray(4 * width * height);
  for (let y = 0, o = 0; y < height; y++) {
    if (y % STRIP === 0) await checkpoint(y / height, 'straightening the page');
    for (let x = 0; x < width; x++, o += 4) {
      const at = inPhoto((x + 0.5) / width, (y + 0.5) / height);
      sample(photo, at.x - 0.5, at.y - 0.5, data, o);
    }
  }
  return { width, height, data };
}

/** Writes the colour at a place between four pixels; beside the photo, that of its edge. */
function sample({ width, height, data }: RgbaImage, x: number, y: number, into: Uint8ClampedArray, o: number): void {
  const cx = Math.min(width - 1, Math.max(0, x));
  const cy = Math.min(height - 1, Math.max(0, y));
  const [x0, y0] = [Math.floor(cx), Math.floor(cy)];
  const [x1, y1] = [Math.min(width - 1, x0 + 1), Math.min(height - 1, y0 + 1)];
  const [fx, fy] = [cx - x0, cy - y0];
  const [a, b, c, d] = [4 * (y0 * width + x0), 4 * (y0 * width + x1), 4 * (y1 * width + x0), 4 * (y1 * width + x1)];
  for (let k = 0; k < 3; k++) {
    const top = data[a + k]! + (data[b + k]! - data[a + k]!) * fx;
    const bottom = data[c + k]! + (data[d + k]! - data[c + k]!) * fx;
    into[o + k] = top + (bottom - top) * fy;
  }
  into[o + 3] = 255;
}
