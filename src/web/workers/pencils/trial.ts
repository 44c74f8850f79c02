import type { TrialStep } from '../../../contracts/index.ts';
import { bareGround, layPasses, remarksOn } from '../../../core/laydown/index.ts';
import { type RgbaImage } from '../../../core/lineart/index.ts';
import { groundPatch } from '../../../core/preview/index.ts';
import { type Job } from '../job.ts';
import { type OnPaperInput } from './on-paper.ts';
import { opticsById, passesOf } from './pencil-optics.ts';

export interface TrialInput extends OnPaperInput {
  steps: readonly TrialStep[];
  /** Side of the picture, pixels. */
  size: number;
}

export interface TriedPatch {
  /** The colour after each pass. */
  after: ReturnType<typeof layPasses>['after'];
  picture: RgbaImage;
  remarks: ReturnType<typeof remarksOn>;
}

/** Trial patches are shown at so many pixels a mm, as close as one looks at a scrap. */
const PATCH_PX_PER_MM = 10;

/** What stands after each of some passes laid on a trial patch; pencils by their optics, tools by name. */
export const trial: Job<TrialInput, TriedPatch> = {
  run({ pencils, paper, steps, size }) {
    const passes = passesOf(steps, opticsById(pencils));
    const ground = bareGround(paper);
    const { after, ground: last } = layPasses(ground, passes);
    return {
      after,
      picture: groundPatch(last, size, paper.grainMm, PATCH_PX_PER_MM),
      remarks: remarksOn(ground, passes),
    };
  },
};
