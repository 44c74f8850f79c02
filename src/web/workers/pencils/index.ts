/** pencils: the jobs on pencils, papers, recipes, palettes and orders; none of them needs a page. */
import { type Jobs } from '../job.ts';
import { afterSeeingJob } from './after-seeing.ts';
import { audit } from './audit.ts';
import { bodiesUnder } from './bodies-under.ts';
import { checkRecipeJob } from './check-recipe.ts';
import { convertSetJob } from './convert-set.ts';
import { familyJob } from './family.ts';
import { fitOne } from './fit-one.ts';
import { fitSwatches } from './fit-swatches.ts';
import { laidAt } from './laid-at.ts';
import { missing } from './missing.ts';
import { near } from './near.ts';
import { onPaperJob } from './on-paper.ts';
import { photoColours } from './photo-colours.ts';
import { priceOfOpenJob } from './price-of-open.ts';
import { proposePalettesJob } from './propose-palettes.ts';
import { ramp } from './ramp.ts';
import { remedies } from './remedies.ts';
import { sequenceSteps } from './sequence-steps.ts';
import { strip } from './strip.ts';
import { teachHand } from './teach-hand.ts';
import { teachPencil } from './teach-pencil.ts';
import { trial } from './trial.ts';
import { viewPicture } from './view-picture.ts';
import { wheelDiscJob } from './wheel-disc.ts';

export const PENCIL_JOBS = {
  onPaper: onPaperJob,
  bodiesUnder,
  strip,
  wheelDisc: wheelDiscJob,
  viewPicture,
  photoColours,
  audit,
  family: familyJob,
  proposePalettes: proposePalettesJob,
  checkRecipe: checkRecipeJob,
  fitSwatches,
  fitOne,
  laidAt,
  near,
  ramp,
  convertSet: convertSetJob,
  missing,
  trial,
  teachHand,
  teachPencil,
  afterSeeing: afterSeeingJob,
  remedies,
  sequenceSteps,
  priceOfOpen: priceOfOpenJob,
} satisfies Jobs;
export type PencilJobs = typeof PENCIL_JOBS;
