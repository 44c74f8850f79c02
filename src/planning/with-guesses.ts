import { type Thing, newThing } from '../contracts/index.ts';
import { type GuessedThing, type Proposal } from '../core/things/index.ts';

/**
 * The things of a plan with guesses put among them, from front to back; each guess is marked as one.
 * @param newId makes an id that no other thing has
 * @param materialOf what a person said that a guess is made of
 */
export function withGuesses(
  things: readonly Thing[],
  { guesses, frontToBack }: Proposal,
  newId: () => string,
  materialOf: (guess: GuessedThing) => string | null,
): Thing[] {
  return frontToBack.map((k) => {
    if (k < things.length) return things[k];
    const guess = guesses[k - things.length];
    const { name, regionIds } = guess;
    return newThing({ id: newId(), name, regionIds, material: materialOf(guess), guessed: true });
  });
}
