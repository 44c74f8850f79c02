import type { Mend } from '../../contracts/index.ts';
import { type Doubt } from '../../core/lineart/index.ts';

export type Gap = Extract<Doubt, { kind: 'gap' }>;
/** What a person says of a gap. */
export type Answer = 'close' | 'open';

/** The gaps of a page, those that wait for an answer first, the narrowest first. */
export function gapsOf(doubts: readonly Doubt[]): Gap[] {
  return doubts
    .flatMap((doubt) => (doubt.kind === 'gap' ? [doubt] : []))
    .sort((p, q) => Number(p.closed) - Number(q.closed) || p.gapeMm - q.gapeMm);
}

/** What answers come to: a line where a gap is to close, an opening where a closed one was meant to be open. */
export function mendsOf(gaps: readonly Gap[], answers: ReadonlyMap<number, Answer>): Mend[] {
  return gaps.flatMap((gap, k): Mend[] => {
    const answer = answers.get(k);
    if (answer === 'close' && !gap.closed) return [{ kind: 'cut', points: [gap.from, gap.to] }];
    if (answer === 'open') return [{ kind: 'open', at: gap.at }];
    return [];
  });
}
