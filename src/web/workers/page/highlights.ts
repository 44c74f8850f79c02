import { type Highlight } from '../../../core/light/index.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';
import { type LitPageInput } from './lit-page-input.ts';

export interface HighlightsInput extends LitPageInput {
  regionIds: readonly number[];
}

/** The highlights on some regions. */
export const highlightsJob: Job<HighlightsInput, Highlight[]> = {
  run({ key, things, lighting, step, regionIds }) {
    const own = new Set(regionIds);
    const { highlights } = pageOf(key).page.lit(things, lighting, step);
    return highlights.filter((highlight) => highlight.regionIds.some((id) => own.has(id)));
  },
};
