import { type OpenPrice, type SequenceOptions, type Step, priceOfOpen } from '../../../core/bench/index.ts';
import { type Job } from '../job.ts';

export interface PriceOfOpenInput {
  steps: readonly Step[];
  limits: readonly number[];
  options: Omit<SequenceOptions, 'openThings'>;
}

/** What it costs to have no more things open than each of some limits. */
export const priceOfOpenJob: Job<PriceOfOpenInput, OpenPrice[]> = {
  run: ({ steps, limits, options }, run) => priceOfOpen(steps, limits, options, run),
};
