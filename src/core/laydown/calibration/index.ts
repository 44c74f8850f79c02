/** calibration: what swatches say of a paper, a hand and the pencils, and how sure that is. */
export {
  BAR,
  LADDER_PATCHES,
  type OverlayReading,
  PATCH_PASSES,
  type Patch,
  type PatchReading,
  type ReadPencil,
} from './readings.ts';
export { type PaperFit, SHARED_NUMBERS, type SharedNumber, declaredFit, fittedPaper } from './paper-fit.ts';
export {
  type CardFit,
  type PencilFit,
  fitCard,
  fitPencil,
  fittedOptics,
  fittedPencil,
  predictedPatch,
} from './fit-card.ts';
export { type TrialReading, handFromTrials, pencilFromTrial } from './fit-trials.ts';
export { type TypicalPencil, carriedFit, typicalPencil } from './carry.ts';
export { BELIEFS, type Belief, type BeliefGround, beliefOfAll, beliefOn, sureDifference } from './belief.ts';
