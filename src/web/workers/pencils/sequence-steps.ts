import { type Sequence, type SequenceOptions, type Step, sequence } from '../../../core/bench/index.ts';
import { type Job } from '../job.ts';

export interface SequenceStepsInput {
  steps: readonly Step[];
  options: SequenceOptions;
}

/** An order of steps. */
export const sequenceSteps: Job<SequenceStepsInput, Sequence> = {
  run: ({ steps, options }, run) => sequence(steps, options, run),
};
