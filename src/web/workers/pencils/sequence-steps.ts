import {
  type OpenThings,
  type SequenceAsWished,
  type SequenceOptions,
  type Step,
  sequenceAsWished,
} from '../../../core/bench/index.ts';
import { type Job } from '../job.ts';

export interface SequenceStepsInput {
  steps: readonly Step[];
  open: OpenThings;
  options: Omit<SequenceOptions, 'openThings' | 'from'>;
}

/** An order of steps. */
export const sequenceSteps: Job<SequenceStepsInput, SequenceAsWished> = {
  run: ({ steps, open, options }, run) => sequenceAsWished(steps, open, options, run),
};
