/** palette: schemes on the wheel, families of pencils for each thing, and whole-page proposals with their reasons. */
export { type Scheme, MOST_HANDS, SCHEMES, handsOf, schemeById } from './schemes/index.ts';
export { type Clarity, type Key, type Part, CLARITIES, KEYS, partOf, targetsOf } from './palette-part.ts';
export { type FoundFamily, FamilyBook, rowAround } from './families.ts';
export { blenderFor, blenderReason } from './blender.ts';
export { type PageSummary, type PageThing, type Pinned } from './page.ts';
export { type Mood, type MoodAxis, type Wishes, FREE_MOOD, MOOD_AXES, USUAL_SHARES } from './wishes.ts';
export { DISTANCES, type Distance } from './distance.ts';
export { type TermId, TERM, TERMS } from './terms.ts';
export { type Option, type Voice, VOICES } from './options.ts';
export { type Plot, type Problem, compileProblem } from './problem.ts';
export { PARTED } from './measures.ts';
export { Objective } from './objective.ts';
export { type Answer, type Search, exactly, greedy, startSearch } from './search.ts';
export { plotsFor } from './plots.ts';
export { type Proposal, type ProposedPart } from './proposal.ts';
export { type SolveOptions, proposePalettes } from './propose-palettes.ts';
export { type LookAlikes, type SeenTwice, lookAlikesUnder } from './under-lamp.ts';
export { paletteDifference, isClearlyDifferent } from './palette-difference.ts';
export { type Audit, type Facts, type Finding, CHECKS, auditPage } from './audit/index.ts';
export { type FamilyFacts, type Swap, factsOfFamily, swapsFor } from './family-facts.ts';
export { type PhotoColour, coloursOfPhoto } from './photo-colours.ts';
export { type ExtraPencil, extrasFor } from './extras.ts';
export {
  NATURAL_KINDS,
  type NaturalKind,
  beyondNature,
  naturalKindById,
  naturalKindOf,
} from './natural-kinds/index.ts';
