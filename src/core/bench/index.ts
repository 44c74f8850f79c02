/** bench: recipes as steps, a good order for them, and the sittings they fall into. */
export { type Step } from './step.ts';
export { PICK_UP_SECONDS, minutesFor } from './minutes.ts';
export { type PlannedThing, makeSteps } from './make-steps.ts';
export { type Sitting } from './cut-sittings.ts';
export { type Sequence, type SequenceOptions, sequence } from './sequence.ts';
export { type OpenPrice, priceOfOpen } from './price-of-open.ts';
export { validateSequence } from './validate-sequence.ts';
