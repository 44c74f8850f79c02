import { type Lab } from '../../../core/colour/index.ts';
import { type Paper } from '../../../core/laydown/index.ts';
import { type TrayPencil } from '../../../core/tray/index.ts';
import { type Job } from '../job.ts';
import { laidOn } from './pencil-optics.ts';

export interface OnPaperInput {
  pencils: readonly TrayPencil[];
  paper: Paper;
}

/** A pencil as it comes out on a paper, without what only the model needs. */
export interface LaidPencil {
  id: string;
  tint: Lab;
  body: Lab;
  wheelAngle: number;
  chroma: number;
  /** OKLCH hue of the body, degrees. */
  hue: number;
}

/** How each pencil comes out on a paper. */
export const onPaperJob: Job<OnPaperInput, LaidPencil[]> = {
  run: ({ pencils, paper }) =>
    laidOn(paper, pencils).map(({ id, tint, body, wheelAngle, chroma, hue }) => ({
      id,
      tint,
      body,
      wheelAngle,
      chroma,
      hue,
    })),
};
