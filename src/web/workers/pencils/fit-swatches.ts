import { type OverlayReading, type Paper, type ReadPencil, fitCard } from '../../../core/laydown/index.ts';
import { type Job } from '../job.ts';

export interface FitSwatchesInput {
  paper: Paper;
  pencils: readonly ReadPencil[];
  overlays: readonly OverlayReading[];
}

/** What the swatches of a tray on one paper come to. */
export const fitSwatches: Job<FitSwatchesInput, Awaited<ReturnType<typeof fitCard>>> = {
  run: ({ paper, pencils, overlays }, run) => fitCard(paper, pencils, overlays, run),
};
