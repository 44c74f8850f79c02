import type { TrialStep } from '../../../contracts/index.ts';
import { type Lab } from '../../../core/colour/index.ts';
import { handFromTrials } from '../../../core/laydown/index.ts';
import { type Job } from '../job.ts';
import { type OnPaperInput } from './on-paper.ts';
import { opticsById, passesOf } from './pencil-optics.ts';

/** Passes on a trial patch with what really came out. */
export interface SeenTrial {
  steps: readonly TrialStep[];
  lab: Lab;
}

export interface TeachHandInput extends OnPaperInput {
  trials: readonly SeenTrial[];
}

/** What trial patches with what really came out say of the hand: a factor a pressure. */
export const teachHand: Job<TeachHandInput, ReturnType<typeof handFromTrials>> = {
  run({ paper, pencils, trials }) {
    const known = opticsById(pencils);
    return handFromTrials(
      paper,
      trials.map(({ steps, lab }) => ({ passes: passesOf(steps, known), lab })),
    );
  },
};
