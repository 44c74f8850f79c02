import { type RgbaImage } from '../../lineart/index.ts';
import { type View } from './view.ts';

/** How far a squint blurs, as a share of the picture's longer side. */
const REACH = 0.018;
/** Three box blurs come close to a Gaussian (W. Wells, 1986). */
const BOXES = 3;

/** Half-closed eyes: details go, masses stay. */
export const squint: View = {
  id: 'squint',
  name: 'squinted',
  says: 'With half-closed eyes: only the large masses, and where the eye goes first.',
  of(picture) {
    const radius = Math.max(1, Math.round(REACH * Math.max(picture.width, picture.height)));
    let seen = picture;
    for (let box = 0; box < BOXES; box++) seen = turned(blurredRows(turned(blurredRows(seen, radius)), radius));
    return seen;
  },
};

/** Each row averaged over a box; ends are continued. */
function blurredRows({ width, height, data }: RgbaImage, radius: number): RgbaImage {
  const out = new Uint8ClampedArray(data.length);
  const size = 2 * radius + 1;
  for (let y = 0; y < height; y++) {
    for (let c = 0; c < 4; c++) {
      const at = (x: number) => data[4 * (y * width + Math.min(width - 1, Math.max(0, x))) + c]!;
      let sum = 0;
      for (let x = -radius; x <= radius; x++) sum += at(x);
      for (let x = 0; x < width; x++) {
        out[4 * (y * width + x) + c] = sum / size;
        sum += at(x + radius + 1) - at(x - radius);
      }
    }
  }
  return { width, height, data: out };
}

/** Rows as columns. */
function turned({ width, height, data }: RgbaImage): RgbaImage {
  const [from, to] = [new Uint32Array(data.buffer, data.byteOffset, width * height), new Uint32Array(width * height)];
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) to[x * height + y] = from[y * width + x]!;
  return { width: height, height: width, data: new Uint8ClampedArray(to.buffer) };
}
