import { wheelById } from '../../../core/colour/index.ts';
import { type Paper } from '../../../core/laydown/index.ts';
import { type RgbaImage } from '../../../core/lineart/index.ts';
import { wheelDisc } from '../../../core/preview/index.ts';
import { type Job } from '../job.ts';
import { bufferOf } from '../page/pixels.ts';

export interface WheelDiscInput {
  paper: Paper;
  /** Side of the picture, pixels. */
  size: number;
  /** Id of the wheel. */
  wheel: string;
  rings: boolean;
}

/** The face of a colour wheel on a paper. */
export const wheelDiscJob: Job<WheelDiscInput, RgbaImage> = {
  run: ({ paper, size, wheel, rings }) => wheelDisc(paper, size, { wheel: wheelById(wheel), rings }),
  handsOver: bufferOf,
};
