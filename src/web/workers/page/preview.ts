import { type LaidSheet, renderSheet } from '../../../core/render/index.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';
import { type Pixels, bufferOf } from './pixels.ts';

export interface PreviewInput {
  key: string;
  sheet: LaidSheet;
  /** Every how many pixels to look. */
  step: number;
  /** Whether this is a first look, which need not be exact along the lines. */
  first: boolean;
}

/** What will come out on a page, printed lines and all. */
export const preview: Job<PreviewInput, Pixels> = {
  async run({ key, sheet, step, first }) {
    const { page, ink } = pageOf(key);
    return renderSheet(page, await ink(), sheet, { step, first });
  },
  handsOver: bufferOf,
};
