import { type FindOptions, type PageIndex, NO_REGION, findRegions } from '../../../core/lineart/index.ts';
import { type Job } from '../job.ts';
import { greysApart } from './greys-apart.ts';
import { type Part, cutOut, movedMends } from './part-of-page.ts';
import { type Pixels, bufferOf } from './pixels.ts';
import { readGreyPicture } from './read-picture.ts';

export interface TryOutInput {
  /** Address of the picture. */
  picture: string;
  part: Part;
  wishes: FindOptions;
}

export interface Trial extends Pixels {
  /** How many regions were found, and how many gaps a person would be asked about. */
  regions: number;
  asked: number;
}

/** Grey of lines. */
const LINE = 24;

/** Finds the regions of a part of a picture as a trial, and paints them in greys that part neighbours. */
export const tryOut: Job<TryOutInput, Trial> = {
  async run({ picture, part, wishes }, run) {
    const whole = await readGreyPicture(picture);
    const map = await findRegions(cutOut(whole, part), movedMends(wishes, part), run);
    const asked = map.doubts.filter((doubt) => doubt.kind === 'gap' && !doubt.closed).length;
    const { width, height, regions } = map;
    return { width, height, data: greysOf(map), regions: regions.length, asked };
  },
  handsOver: bufferOf,
};

/** Regions in five greys, ink nearly black, what is no region white. */
function greysOf({ labels, neighbours, regions }: PageIndex): Uint8ClampedArray {
  const greys = greysApart(regions.length, neighbours);
  const data = new Uint8ClampedArray(4 * labels.length);
  for (let i = 0, p = 0; i < labels.length; i++, p += 4) {
    const label = labels[i]!;
    data[p] = data[p + 1] = data[p + 2] = label === 0 ? LINE : label === NO_REGION ? 255 : greys[label]!;
    data[p + 3] = 255;
  }
  return data;
}
