/** palette: schemes on the wheel, families of pencils for each thing, and whole-page proposals with their reasons. */
export { type Scheme, SCHEMES, schemeById } from './schemes/index.ts';
export { type Clarity, type Key, type Part, CLARITIES, KEYS, targetsOf } from './part.ts';
export { type FoundFamily, familyFor } from './families.ts';
export {
  type Preferences,
  type Proposal,
  type ProposedPart,
  type SheetSummary,
  proposePalettes,
} from './propose-palettes.ts';
