/** tray: the pencils at hand, as they come out on a paper, and which of them comes nearest to a colour. */
export { type PencilOnPaper, type TrayPencil, onPaper, opacityOf } from './on-paper.ts';
export { type Match, matchPencils } from './match-pencils.ts';
export { type LaidTray, type Near, labAt, layTray, nearestAtBest, nearestPencils } from './laid-tray.ts';
export { type Layering, layeringsNear } from './layerings.ts';
export { type Closeness, closenessOf, differenceInWords } from './closeness.ts';
export { type Conversion, convertSet } from './convert-set.ts';
export { type Missing, whatIsMissing, mostHelpful } from './missing.ts';
export {
  type Band,
  type Overlap,
  type Ramp,
  type RampBand,
  type RampOptions,
  MOST_IN_RAMP,
  costOfOverlap,
  labOfBand,
  overlapOf,
  planRamp,
} from './ramp/index.ts';
export { type Wear, lengthLeftMm, pressOfLength, wearOf } from './wear.ts';
export { type Place, type Sample, sampleBeside } from './sample-beside.ts';
export { type ChartCell, type ChartGrid, fitGrid, masstoneOfPatch, readChart } from './read-chart.ts';
