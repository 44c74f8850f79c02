import { renderSheet } from '../../../core/render/index.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';
import { type PreviewInput } from './preview.ts';

/**
 * Paints a page before anything is laid on it, and solves pencils: light, grain and pencils are ready then, and the first
 * palette is seen at once.
 */
export const readAhead: Job<PreviewInput, void> = {
  async run({ key, sheet, step, first }) {
    const { page, ink } = pageOf(key);
    for (const pencil of sheet.pencils.values()) page.optics.of(pencil);
    renderSheet(page, await ink(), sheet, { step, first });
  },
};
