import { type RgbaImage } from '../../../core/lineart/index.ts';
import { viewById } from '../../../core/preview/index.ts';
import { type Job } from '../job.ts';
import { bufferOf } from '../page/pixels.ts';

export interface ViewPictureInput {
  /** Id of a way of judging. */
  view: string;
  picture: RgbaImage;
}

/** A picture as it is seen in one of the ways of judging it. */
export const viewPicture: Job<ViewPictureInput, RgbaImage> = {
  run: ({ view, picture }) => viewById(view).of(picture),
  handsOver: bufferOf,
};
