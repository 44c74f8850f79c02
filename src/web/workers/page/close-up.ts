import { type PointMm } from '../../../core/lineart/index.ts';
import { type LaidSheet, renderSheet } from '../../../core/render/index.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';
import { type Pixels, bufferOf } from './pixels.ts';

export interface CloseUpInput {
  key: string;
  sheet: LaidSheet;
  /** Middle of the piece, and its side, mm. */
  middle: PointMm;
  sideMm: number;
  /** Along each side of the picture. */
  pixels: number;
}

/** A square piece of the page as a loupe shows it. */
export const closeUp: Job<CloseUpInput, Pixels> = {
  async run({ key, sheet, middle, sideMm, pixels }) {
    const { page, ink } = pageOf(key);
    const square = { left: middle.x - sideMm / 2, top: middle.y - sideMm / 2, widthMm: sideMm, heightMm: sideMm };
    return renderSheet(page, await ink(), sheet, { step: 1, piece: { ...square, perMm: pixels / sideMm } });
  },
  handsOver: bufferOf,
};
