import sharp from 'sharp';
import { seededRandom } from '../../src/core/random/index.ts';
import { type MadeUpPage } from './page.ts';

const SKEW = (1.5 * Math.PI) / 180;

/** The same page as a bad scan brings it: 1.5 degrees askew, 40% of the light lost towards one side, blur, noise, JPEG 60. */
export async function badlyScanned(page: MadeUpPage, seed: number): Promise<MadeUpPage> {
  const { width, height, data } = page.grey;
  const random = seededRandom(seed);
  const out = new Uint8Array(data.length);
  const truth = new Uint16Array(data.length);
  const [c, s] = [Math.cos(SKEW), Math.sin(SKEW)];
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      const [u, v] = [x - width / 2, y - height / 2];
      const [sx, sy] = [width / 2 + u * c + v * s, height / 2 + v * c - u * s];
      const light = 1 - (0.4 * x) / width;
      out[i] = Math.min(255, Math.max(0, light * between(data, width, height, sx, sy)));
      const [tx, ty] = [Math.round(sx), Math.round(sy)];
      if (tx >= 0 && ty >= 0 && tx < width && ty < height) truth[i] = page.truth[ty * width + tx];
    }
  }
  const blurred = await sharp(out, { raw: { width, height, channels: 1 } })
    .blur(0.8)
    .toColourspace('b-w')
    .raw()
    .toBuffer();
  const noisy = Uint8Array.from(blurred, (v) => Math.min(255, Math.max(0, v + 5 * gauss(random))));
  const jpeg = await sharp(noisy, { raw: { width, height, channels: 1 } })
    .jpeg({ quality: 60 })
    .toBuffer();
  const read = await sharp(jpeg).toColourspace('b-w').raw().toBuffer();
  const gaps = page.gaps.map((gap) => {
    const [u, v] = [gap.x - width / 2, gap.y - height / 2];
    return { ...gap, x: width / 2 + u * c - v * s, y: height / 2 + v * c + u * s };
  });
  return { ...page, grey: { width, height, data: new Uint8Array(read) }, truth, gaps };
}

function between(data: Uint8Array, width: number, height: number, x: number, y: number): number {
  const [x0, y0] = [Math.floor(x), Math.floor(y)];
  if (x0 < 0 || y0 < 0 || x0 + 1 >= width || y0 + 1 >= height) return 246;
  const [fx, fy, i] = [x - x0, y - y0, y0 * width + x0];
  const top = data[i] * (1 - fx) + data[i + 1] * fx;
  const bottom = data[i + width] * (1 - fx) + data[i + width + 1] * fx;
  return top * (1 - fy) + bottom * fy;
}

function gauss(random: () => number): number {
  return Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
}
