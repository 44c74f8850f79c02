/** calibration: what swatches say of a paper, a hand and the pencils, and how sure that is. */
export { BAR, type OverlayReading, type ReadPencil } from './readings.ts';
export { LADDER_PATCHES, PATCH_PASSES, type Patch, SINGLE_PATCHES } from './patches.ts';
export { declaredFit, fittedPaper } from './paper-fit.ts';
export { SHARED_NUMBERS, type SharedNumber } from './shared-numbers.ts';
export { type CardFit, fitCard, fitPencil, fittedOptics, fittedPencil, predictedPatch } from './fit-card.ts';
export type { PaperFit, PatchReading, PencilFit } from '../schemas.ts';
export { type TrialReading, handFromTrials, pencilFromTrial } from './fit-trials.ts';
export { type TypicalPencil, carriedFit, typicalPencil } from './carry.ts';
export { BELIEFS, type Belief, type BeliefGround, beliefOfAll, beliefOn, sureDifference } from './belief.ts';
