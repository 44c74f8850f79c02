import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';
import { type Pixels, bufferOf } from './pixels.ts';

export interface RegionPictureInput {
  key: string;
  /** Colours by region id, four bytes each. */
  rgba: Uint8Array;
  /** Every how many pixels to look. */
  step: number;
}

/** The regions of a page in given colours; clear beside them. */
export const regionPicture: Job<RegionPictureInput, Pixels> = {
  run({ key, rgba, step }) {
    const { index } = pageOf(key).page;
    const width = Math.ceil(index.width / step);
    const height = Math.ceil(index.height / step);
    const data = new Uint8ClampedArray(4 * width * height);
    for (let y = 0, p = 0; y < height; y++) {
      for (let x = 0; x < width; x++, p += 4) {
        const label = index.grown[y * step * index.width + x * step]!;
        if (4 * label < rgba.length) data.set(rgba.subarray(4 * label, 4 * label + 4), p);
      }
    }
    return { width, height, data };
  },
  handsOver: bufferOf,
};
