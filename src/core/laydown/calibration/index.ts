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
export {
  type CardFit,
  type PaperFit,
  type PencilFit,
  SHARED_NUMBERS,
  type SharedNumber,
  declaredFit,
  fitCard,
  fitPencil,
  fittedOptics,
  fittedPaper,
  predictedPatch,
} from './fit-card.ts';
export { type TrialReading, handFromTrials, pencilFromTrial } from './fit-trials.ts';
export { type TypicalPencil, carriedFit, typicalPencil } from './carry.ts';
export { BELIEFS, type Belief, type BeliefGround, beliefOfAll, beliefOn, sureDifference } from './belief.ts';
