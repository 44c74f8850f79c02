import { type RgbaImage } from '../../../core/lineart/index.ts';
import { coloursOfPhoto } from '../../../core/palette/index.ts';
import { type Job } from '../job.ts';

export interface PhotoColoursInput {
  photo: RgbaImage;
  count: number;
}

/** The colours of a photo. */
export const photoColours: Job<PhotoColoursInput, ReturnType<typeof coloursOfPhoto>> = {
  run: ({ photo, count }) => coloursOfPhoto(photo, count),
};
