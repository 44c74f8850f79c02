import { type RgbaImage } from '../../lineart/index.ts';

/** A way of looking at a picture to judge it. */
export interface View {
  id: string;
  name: string;
  /** What it is good for, in one line. */
  says: string;
  /** The picture so seen, a new one of the same size. */
  of(picture: RgbaImage): RgbaImage;
}

/** Levels of each channel that are told apart: finer than an eye does over a grain, coarse enough to be looked up. */
const LEVELS = 64;

/** A view that changes each pixel by itself; like colours are worked out once. Black and white stay exactly themselves. */
export function pixelwise(
  each: (rgb: readonly [number, number, number]) => readonly [number, number, number],
): View['of'] {
  const known = new Int32Array(LEVELS ** 3).fill(-1);
  const level = (channel: number) => Math.round((channel * (LEVELS - 1)) / 255);
  const channel = (at: number) => (at * 255) / (LEVELS - 1);
  return ({ width, height, data }) => {
    const seen = new Uint8ClampedArray(data.length);
    for (let p = 0; p < data.length; p += 4) {
      const [r, g, b] = [level(data[p]!), level(data[p + 1]!), level(data[p + 2]!)];
      const at = (r * LEVELS + g) * LEVELS + b;
      if (known[at]! < 0) {
        const byte = (value: number) => Math.round(Math.min(255, Math.max(0, value)));
        const [x, y, z] = each([channel(r), channel(g), channel(b)]);
        known[at] = (byte(x) << 16) | (byte(y) << 8) | byte(z);
      }
      seen[p] = known[at]! >> 16;
      seen[p + 1] = (known[at]! >> 8) & 255;
      seen[p + 2] = known[at]! & 255;
      seen[p + 3] = data[p + 3]!;
    }
    return { width, height, data: seen };
  };
}
