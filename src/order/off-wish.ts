import { type Round } from '../core/bench/index.ts';
import { about } from './about.ts';

/** A sitting keeps to the wish within such a share of it. */
const WITHIN = 0.2;

/**
 * Why a sitting is more than a fifth longer or shorter than wished: the step that cannot be parted; null where it keeps to the
 * wish, or is the last.
 * @param rounds of all sittings
 * @param minutes of each
 * @param at which of them, from 0
 * @param namesIn the things of a step in words
 */
export function whyOffWish(
  rounds: readonly (readonly Round[])[],
  minutes: readonly number[],
  at: number,
  wished: number,
  namesIn: (round: Round) => string,
): string | null {
  const own = minutes[at] ?? wished;
  if (own > (1 + WITHIN) * wished) {
    const longest = longestOf(rounds[at] ?? []);
    return longest && longest.minutes > WITHIN * wished
      ? `Longer than wished: ${namesIn(longest)} takes ${about(longest.minutes)} in one go. Stop in it with Half done.`
      : 'Longer than wished, as it was moved together.';
  }
  if (own >= (1 - WITHIN) * wished || at === rounds.length - 1) return null;
  const next = rounds[at + 1]?.[0];
  return next && own + next.minutes > (1 + WITHIN) * wished
    ? `Shorter than wished: next comes ${namesIn(next)}, which takes ${about(next.minutes)} in one go.`
    : 'Shorter than wished, as it was moved apart.';
}

function longestOf(rounds: readonly Round[]): Round | undefined {
  return rounds.reduce<Round | undefined>((a, b) => (a && a.minutes >= b.minutes ? a : b), undefined);
}
