import { type Proposal, type ProposeOptions, proposeThings, readPage } from '../../../core/things/index.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';

export interface ProposeThingsInput {
  key: string;
  options: ProposeOptions;
}

/** Proposes things for the regions of a page that are in none. */
export const proposeThingsJob: Job<ProposeThingsInput, Proposal> = {
  async run({ key, options }, run) {
    const kept = pageOf(key);
    kept.reading ??= await readPage(kept.page.index, run);
    return proposeThings(kept.reading, options);
  },
};
