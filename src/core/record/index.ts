/** record: what the log of finished steps says. */
export { type LoggedStep, type RecordSummary, summarise } from './summarise.ts';
export { type Span, sittingsOf } from './sittings.ts';
export { ENOUGH_STEPS, MOST_STEPS, type TimedStep, learnRates } from './learn-rates.ts';
