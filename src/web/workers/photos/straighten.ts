import { type Quad, straightened } from '../../../core/straighten/index.ts';
import { type Job } from '../job.ts';
import { pixelsOf, pngOf } from './read-photo.ts';

export interface StraightenInput {
  photo: Blob;
  /** The corners of the page in the photo. */
  quad: Quad;
  /** Of the straight page, pixels. */
  size: { width: number; height: number };
}

/** The page of a photograph as it lies, as a PNG. */
export const straighten: Job<StraightenInput, Blob> = {
  async run({ photo, quad, size }, run) {
    run.progress(0.02, 'reading the photo');
    return pngOf(await straightened(await pixelsOf(photo), quad, size, run));
  },
};
