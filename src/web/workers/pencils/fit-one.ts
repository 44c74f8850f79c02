import { type Paper, type PaperFit, type ReadPencil, fitPencil } from '../../../core/laydown/index.ts';
import { type Job } from '../job.ts';

export interface FitOneInput {
  paper: Paper;
  /** What is known of the paper. */
  found: PaperFit;
  pencil: ReadPencil;
}

/** What the swatches of one pencil come to on a paper that is known. */
export const fitOne: Job<FitOneInput, ReturnType<typeof fitPencil>> = {
  run: ({ paper, found, pencil }) => fitPencil(paper, found, pencil),
};
