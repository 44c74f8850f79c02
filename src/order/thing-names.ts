import { kindOfGuess } from '../core/things/index.ts';
import type { BenchPlan } from '../contracts/index.ts';
import { type Step } from '../core/bench/index.ts';

/** What a guess adds to a name that others have already: " (2)". */
const NUMBER = / \(\d+\)$/;
/** So many names are told one by one. */
const ONE_BY_ONE = 3;

/**
 * Things by name in a few words: those that are called the same but for a number are counted, those that nobody named yet
 * are told by what they look like.
 */
export function thingsInWords(names: readonly string[]): string {
  const each = [...new Set(names)];
  if (each.length <= ONE_BY_ONE) return joined(each);
  const counts = new Map<string, number>();
  const guessed = new Set<string>();
  for (const name of each) {
    const guess = kindOfGuess(name);
    const kind = guess ?? name.replace(NUMBER, '');
    if (guess) guessed.add(guess);
    counts.set(kind, (counts.get(kind) ?? 0) + 1);
  }
  const kinds = [...counts]
    .sort(([, p], [, q]) => q - p)
    .map(([kind, n]) => (guessed.has(kind) || n === 1 ? kind : `${kind} × ${n}`));
  kinds[0] = kinds[0]!.charAt(0).toUpperCase() + kinds[0]!.slice(1);
  if (kinds.length <= ONE_BY_ONE + 1) return joined(kinds);
  const others = [...counts.values()].sort((p, q) => q - p).slice(ONE_BY_ONE);
  return `${kinds.slice(0, ONE_BY_ONE).join(', ')} and ${others.reduce((sum, n) => sum + n, 0)} others`;
}

function joined(words: readonly string[]): string {
  return words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)!}`;
}

/** The names of the things of some steps. */
export function namesOf(steps: readonly Pick<Step, 'thingId'>[], things: BenchPlan['things']): string {
  const nameOf = new Map(things.map(({ id, name }) => [id, name]));
  return thingsInWords(steps.map(({ thingId }) => nameOf.get(thingId) ?? ''));
}
