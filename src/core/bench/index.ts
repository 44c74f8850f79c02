/** bench: recipes as steps, a good order for them, and the sittings they fall into. */
export { inHand } from './step.ts';
export type { Box, LeftOut, OpenThings, Sitting, Step } from './schemas.ts';
export { ASSUMED_RATES, type Laying, type Rates, minutesFor } from './rates.ts';
export { type Costs, type Handedness, HANDS, USUAL_COSTS, costsAt } from './costs.ts';
export { LONGEST_STEP_MINUTES, type PlannedThing, type StepFacts, makeSteps, minutesOfLayer } from './make-steps.ts';
export { RULES, type Rule, type RuledPage, USUAL_RULES, ruleById } from './rules/index.ts';
export { type RuledSteps, ruledSteps } from './ruled-steps.ts';
export { type Repair, isRepair, whereOf, withRepairs } from './repairs.ts';
export { REPAIR } from './repair-ids.ts';
export { type Overhead, overheadOf } from './overhead.ts';
export { type Sequence, type SequenceOptions, sequence } from './sequence.ts';
export { type OpenPrice, priceOfOpen } from './price-of-open.ts';
export { openLimit } from './open-things.ts';
export { validateSequence } from './validate-sequence.ts';
export { handWords } from './hand-words.ts';
export { type LaidOutTable, type Reminder, layOutFor, remindersOf } from './lay-out.ts';
export { movedTo } from './moved-to.ts';
export { stepsAhead } from './steps-ahead.ts';
