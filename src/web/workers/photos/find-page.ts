import { greyOfRgba } from '../../../core/lineart/index.ts';
import { type Quad, findPageCorners } from '../../../core/straighten/index.ts';
import { type Job } from '../job.ts';
import { pixelsOf, sizeOf } from './read-photo.ts';

export interface FoundPage {
  /** Of the photo, pixels. */
  width: number;
  height: number;
  /** The corners of the page in pixels of the upright photo, or null. */
  quad: Quad | null;
}

/** Corners are looked for on the photo at this longest side, pixels. */
const LOOKED_AT = 1200;

/** Finds the page in a photograph. */
export const findPage: Job<{ photo: Blob }, FoundPage> = {
  async run({ photo }, run) {
    run.progress(0.1, 'looking for the page');
    const { width, height, data } = await pixelsOf(photo, LOOKED_AT);
    const { width: across, height: down } = await sizeOf(photo);
    const quad = findPageCorners(greyOfRgba({ width, height, data }));
    const up = across / width;
    const corners = quad?.map(({ x, y }) => ({ x: x * up, y: y * up }));
    return { width: across, height: down, quad: corners ? (corners as unknown as Quad) : null };
  },
};
