import { hexOfLab } from '../../../core/colour/index.ts';
import {
  type FindOptions,
  type PageIndex,
  type SeenColours,
  findRegions,
  inkShareOf,
  readSeen,
  rgbOfRgba,
} from '../../../core/lineart/index.ts';
import { type Job } from '../job.ts';
import { keepPage } from './kept-pages.ts';
import { packed } from './packed.ts';
import { readColourPicture, readGreyPicture } from './read-picture.ts';

export interface FindRegionsInput {
  /** What the page is kept under from then on. */
  key: string;
  /** Addresses of its picture, and of the one in colour, where there is one. */
  picture: string;
  colours: string | null;
  wishes: FindOptions;
}

/**
 * Finds the regions of a page, and reads in the colours, where there are any, what lies on them already. The page stays
 * here; what comes out is its index, packed as it is stored.
 */
export const findRegionsJob: Job<FindRegionsInput, ArrayBuffer> = {
  async run({ key, picture, colours, wishes }, run) {
    run.progress(0.01, 'reading the page');
    const grey = await readGreyPicture(picture);
    const found = await findRegions(grey, wishes, run);
    const seen = colours ? seenOn(await readColourPicture(colours), found) : null;
    run.progress(0.97, 'keeping the regions');
    const index = found.with({ seen, ink: inkShareOf(grey) });
    keepPage(key, index, picture);
    return packed(index.data);
  },
  handsOver: (bytes) => [bytes],
};

function seenOn(colours: ImageData, map: PageIndex): SeenColours {
  const { paper, grounds } = readSeen(rgbOfRgba(colours), map);
  return {
    paper: hexOfLab(paper),
    grounds: grounds.map(({ region, kind, lab }) => ({ region, kind, colour: hexOfLab(lab) })),
  };
}
