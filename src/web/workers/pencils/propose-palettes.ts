import { type PageSummary, type Proposal, type Wishes, proposePalettes } from '../../../core/palette/index.ts';
import { type Job } from '../job.ts';
import { type OnPaperInput } from './on-paper.ts';
import { laidOn } from './pencil-optics.ts';

export interface ProposePalettesInput extends OnPaperInput {
  page: PageSummary;
  wishes: Wishes;
  seed: number;
}

/** Palettes are worked out for so long, or until so many moves have been tried. */
const PROPOSING_MS = 2500;
const MOST_MOVES = 400_000;

/** Palettes for a page. */
export const proposePalettesJob: Job<ProposePalettesInput, Proposal[]> = {
  run({ page, pencils, paper, wishes, seed }, run, found) {
    const live = { seed, moves: MOST_MOVES, deadlineMs: PROPOSING_MS, found };
    return proposePalettes(page, laidOn(paper, pencils), paper, wishes, live, run);
  },
};
