import { type Run, checkpoints } from '../core/run/index.ts';

/** RGB pixels, row by row. */
export interface Picture {
  width: number;
  height: number;
  data: Uint8Array;
}

/** Where a point of the new picture lies in the old one, pixels; pixel centres at +0.5. */
export type Inverse = (x: number, y: number, into: { x: number; y: number }) => void;

/** What light does to each channel at a place: written into `into`. */
export type Shade = (x: number, y: number, into: [number, number, number]) => void;

const ROWS = 24;

/**
 * A new picture of `width` x `height`, each pixel looked up in the old one (bilinear), or `beside` where it lies
 * outside, then shaded and made noisy.
 * @param noise standard deviation of what is added to each channel, of 255
 * @param random seeded, for the noise
 * @throws CancelledError when the run is cancelled
 */
export async function resample(
  from: Picture,
  size: { width: number; height: number },
  inverse: Inverse,
  look: { beside: readonly [number, number, number]; shade: Shade; noise: number; random: () => number },
  run: Run,
  doing: string,
): Promise<Picture> {
  const { width, height } = size;
  const data = new Uint8Array(3 * width * height);
  const checkpoint = checkpoints(run);
  const grain = noiseTable(look.random);
  const at = { x: 0, y: 0 };
  const light: [number, number, number] = [1, 1, 1];
  const row = 3 * from.width;
  for (let y = 0; y < height; y++) {
    if (y % ROWS === 0) await checkpoint(y / height, doing);
    lookUpRow(y);
  }
  return { width, height, data };

  function lookUpRow(y: number): void {
    const { beside, shade, noise } = look;
    let g = Math.floor(look.random() * grain.length);
    let o = 3 * y * width;
    for (let x = 0; x < width; x++) {
      inverse(x + 0.5, y + 0.5, at);
      shade(x, y, light);
      const i = Math.floor(at.x - 0.5);
      const j = Math.floor(at.y - 0.5);
      const inside = i >= 0 && j >= 0 && i < from.width - 1 && j < from.height - 1;
      const s = at.x - 0.5 - i;
      const t = at.y - 0.5 - j;
      const p = j * row + 3 * i;
      const level = noise * grain[g]!;
      g = g + 1 === grain.length ? 0 : g + 1;
      for (let c = 0; c < 3; c++, o++) {
        const value = inside
          ? (from.data[p + c]! * (1 - s) + from.data[p + 3 + c]! * s) * (1 - t) +
            (from.data[p + row + c]! * (1 - s) + from.data[p + row + 3 + c]! * s) * t
          : beside[c]!;
        const lit = value * light[c]! + level;
        data[o] = lit < 0 ? 0 : lit > 255 ? 255 : lit;
      }
    }
  }
}

/** Normal numbers to draw noise from. */
function noiseTable(random: () => number): Float32Array {
  return Float32Array.from({ length: 65_521 }, () => {
    return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  });
}
