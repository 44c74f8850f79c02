import { type Lab, deltaE2000, labOfHex, labOfRgb, linearise, rgbOfLab } from '../colour/index.ts';
import { type Paper } from '../laydown/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { type Box, type Light, evened, lightsIn, medianOf } from './picture-light.ts';

/** A place of a picture, pixels. */
export interface Place {
  x: number;
  y: number;
}

/** A colour taken out of a picture. */
export interface Sample {
  lab: Lab;
  /** How far the parts of what was sampled lie from its colour, CIEDE2000, at most. */
  spread: number;
}

/** Parts that a sample is looked at in, across and down. */
const PARTS = 3;
/** Paper on a picture reflects more than this of its light, or it is no paper. */
const DARK = 0.04;

/**
 * The colour of a place in a picture, once the bare paper beside it is taken for the paper's own tint. It is the median
 * of nine parts, each the mean of its light: specks and pigment mix as the eye mixes them, a fleck does not count.
 * @param place,bare middles of what is looked at, on the pencil and on bare paper
 * @param reach half the side of what is looked at, pixels
 * @throws RangeError for a place that is not on the picture, a reach below 2, or a bare place too dark to be paper
 */
export function sampleBeside(image: RgbaImage, place: Place, bare: Place, reach: number, paper: Paper): Sample {
  if (!(reach >= 2)) throw new RangeError('A sample is taken from 4 pixels a side at least.');
  for (const { x, y } of [place, bare]) {
    if (!(x >= 0 && y >= 0 && x < image.width && y < image.height)) {
      throw new RangeError('Choose a place on the picture.');
    }
  }
  const white = medianOf(partsAround(bare, reach).map((box) => meanOf(lightsIn(image, box))));
  if (white[1] < DARK) throw new RangeError('What was chosen as bare paper is too dark to be paper.');
  const tint = rgbOfLab(labOfHex(paper.tint)).map(linearise);
  const labOf = (light: Light) => labOfRgb(evened(light, white, tint));
  const parts = partsAround(place, reach).map((box) => meanOf(lightsIn(image, box)));
  const lab = labOf(medianOf(parts));
  return { lab, spread: Math.max(...parts.map((part) => deltaE2000(labOf(part), lab))) };
}

function partsAround({ x, y }: Place, reach: number): Box[] {
  const side = (2 * reach) / PARTS;
  return Array.from({ length: PARTS * PARTS }, (_, i) => {
    const [left, top] = [x - reach + (i % PARTS) * side, y - reach + Math.floor(i / PARTS) * side];
    return { left, top, right: left + side, bottom: top + side };
  });
}

function meanOf(lights: readonly Light[]): Light {
  const mean = (k: 0 | 1 | 2) => lights.reduce((sum, light) => sum + light[k], 0) / lights.length;
  return [mean(0), mean(1), mean(2)];
}
