/** laydown: paper, tooth, pencils, pressure and passes; what comes out when passes are laid on a ground. */
export { type Paper, PAPERS, paperById, paperKind, tintedPaper, whiteBook } from './papers/index.ts';
export { type PencilType, PENCIL_TYPES, isLoose, isSoluble, pencilTypeById } from './pencil-types/index.ts';
export { type Hand, type Pressure, PRESS, PRESSURES, pressOf } from './pressure.ts';
export {
  type Deposit,
  type Ground,
  PRINTED_BLACK,
  bareGround,
  inkGround,
  reflectanceOf,
  reflectanceOfReached,
} from './ground.ts';
export {
  TOOTH_LEFT,
  type ToothLeft,
  markedGround,
  paintedGround,
  stainedGround,
  workedGround,
} from './worked-ground.ts';
export { remarksOn } from './remarks.ts';
export { LAYDOWN_MODEL, type Relief } from './pass.ts';
export { bareAfter, passesFor, passesUntilFilled, reliefAfter, reliefOf, toothMarks } from './filling.ts';
export { type Lead, type PencilOptics } from './optics.ts';
export { type PencilDeclaration, MASSTONE_PASSES, leadOf, pencilOptics } from './pencil-optics.ts';
export { type Tool, TOOLS, toolById } from './tools/index.ts';
export { type Laid, type Pass, type ToolPass, groundAfterPasses, layPasses } from './lay-passes.ts';
export {
  BAR,
  LADDER_PATCHES,
  BELIEFS,
  type Belief,
  type BeliefGround,
  type CardFit,
  type OverlayReading,
  PATCH_PASSES,
  SINGLE_PATCHES,
  type PaperFit,
  type Patch,
  type PatchReading,
  type PencilFit,
  type ReadPencil,
  SHARED_NUMBERS,
  type SharedNumber,
  type TrialReading,
  beliefOfAll,
  beliefOn,
  carriedFit,
  declaredFit,
  fitCard,
  fitPencil,
  fittedOptics,
  fittedPencil,
  fittedPaper,
  handFromTrials,
  pencilFromTrial,
  predictedPatch,
  sureDifference,
  typicalPencil,
} from './calibration/index.ts';
