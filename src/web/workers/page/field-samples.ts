import { type FieldSamples, type FormedThing, type Lighting } from '../../../core/light/index.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';

export interface FieldSamplesInput {
  key: string;
  things: readonly FormedThing[];
  lighting: Lighting;
}

export interface SampledFields {
  /** The page that they are of. */
  key: string;
  /** By region id. */
  samples: ReadonlyMap<number, FieldSamples>;
}

/** What light does on each region of a page. */
export const fieldSamplesJob: Job<FieldSamplesInput, SampledFields> = {
  run: ({ key, things, lighting }) => ({ key, samples: pageOf(key).page.samples(things, lighting) }),
};
