import { type Belief, type BeliefGround } from '../../core/laydown/index.ts';

/** What a colour rests on, as a person would say it. */
export const BELIEF_WORDS: Readonly<Record<BeliefGround, string>> = {
  fitted: 'fitted to swatches on this paper',
  carried: 'carried over from swatches on another paper',
  'read once': 'read, not fitted yet',
  'like its kind': 'declared, laid as fitted pencils of its kind are',
  declared: 'declared only',
};

/** A small square that fills as a colour grows surer. */
const FILLS: Readonly<Record<BeliefGround, string>> = {
  fitted: 'M1 1h10v10H1z',
  carried: 'M1 4h10v7H1z',
  'read once': 'M1 6h10v5H1z',
  'like its kind': 'M1 9h10v2H1z',
  declared: '',
};

/** How sure a pencil's colours here are, beside its code. */
export function BeliefMark({ belief }: { belief: Belief }) {
  const says = `${BELIEF_WORDS[belief.ground]}, about ${belief.apart.toFixed(1)} apart`;
  return (
    <svg viewBox="0 0 12 12" width={12} height={12} role="img" aria-label={says} className="inline-block shrink-0">
      <title>{says}</title>
      <path d={FILLS[belief.ground]} fill="currentColor" />
      <path d="M1 1h10v10H1z" fill="none" stroke="currentColor" strokeWidth="1.2" />
    </svg>
  );
}
