import sharp from 'sharp';
import { type GreyImage } from '../src/core/lineart/index.ts';
import { seededRandom } from '../src/core/random/index.ts';

/** Ink and paper of the scan, codes; how soft its lines are, mm; how much light is lost towards one side. */
const INK = 45;
const PAPER = 243;
const SOFT_MM = 0.14;
const LOST = 0.22;
/** Deviation of the paper's grain, codes, and the JPEG's quality. */
const GRAIN = 3;
const QUALITY = 80;

/** A printed page as a flat-bed brings it: thicker, softer lines, paper that is not white, uneven light, grain and JPEG. */
export async function scanned({ width, height, data }: GreyImage, pixelsPerMm: number): Promise<GreyImage> {
  const random = seededRandom(8);
  // Lines grow by the darkest of what lies within a third of a mm or so.
  const reach = Math.max(1, Math.round(0.12 * pixelsPerMm));
  const grown = spreadDark(spreadDark(data, width, height, reach, 1), width, height, reach, width);
  const soft = await sharp(grown, { raw: { width, height, channels: 1 } })
    .blur(Math.max(0.4, SOFT_MM * pixelsPerMm))
    .toColourspace('b-w')
    .raw()
    .toBuffer();
  const lit = Uint8Array.from(soft, (value, i) => {
    const light = 1 - (LOST * (i % width)) / width;
    const noise = GRAIN * (random() + random() + random() - 1.5) * 2;
    return Math.min(255, Math.max(0, light * (INK + ((PAPER - INK) * value) / 255) + noise));
  });
  const jpeg = await sharp(lit, { raw: { width, height, channels: 1 } })
    .jpeg({ quality: QUALITY })
    .toBuffer();
  const read = await sharp(jpeg).toColourspace('b-w').raw().toBuffer();
  return { width, height, data: new Uint8Array(read) };
}

function spreadDark(values: Uint8Array, width: number, height: number, reach: number, step: number): Uint8Array {
  const out = new Uint8Array(values.length);
  for (let y = 0, i = 0; y < height; y++) {
    for (let x = 0; x < width; x++, i++) {
      let least = 255;
      for (let k = -reach; k <= reach; k++) {
        const [u, v] = step === 1 ? [x + k, y] : [x, y + k];
        if (u >= 0 && v >= 0 && u < width && v < height) least = Math.min(least, values[i + k * step]);
      }
      out[i] = least;
    }
  }
  return out;
}
