/** ramp: a passage from one colour to another as pencils in order, planned by what their overlaps come to. */
export { type Band, type Overlap, costOfOverlap, labOfBand, overlapOf } from './overlap.ts';
export { type Ramp, type RampBand, type RampOptions, MOST_IN_RAMP, planRamp } from './plan-ramp.ts';
