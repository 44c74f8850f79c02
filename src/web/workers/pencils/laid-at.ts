import { type Lab } from '../../../core/colour/index.ts';
import { type Paper, type Pressure, bareGround, layPasses } from '../../../core/laydown/index.ts';
import { type TrayPencil } from '../../../core/tray/index.ts';
import { type Job } from '../job.ts';
import { opticsOf } from './pencil-optics.ts';

export interface LaidAtInput {
  pencil: TrayPencil;
  paper: Paper;
  pressure: Pressure;
}

/** The colour of one pass of a pencil at a pressure. */
export const laidAt: Job<LaidAtInput, Lab> = {
  run: ({ pencil, paper, pressure }) => layPasses(bareGround(paper), [{ pencil: opticsOf(pencil), pressure }]).lab,
};
