/** things: from the regions of a page to the things that they probably make, which lies in front, and what to ask. */
export { CUES, type NeighbourCues, neighbourCues } from './affinities.ts';
export { MOST_QUESTIONS, type Question } from './questions.ts';
export {
  type Answer,
  type GuessedThing,
  type PageReading,
  type Proposal,
  type ProposeOptions,
  proposeThings,
  readPage,
} from './propose.ts';
export { kindOfGuess } from './words.ts';
