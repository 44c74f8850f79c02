import type { Pencil } from '../../contracts/index.ts';
import { isWarm, labOfHex, oklchOfLab, wheelOfHue, wordsFor } from '../../core/colour/index.ts';

/** Everything a pencil can be found by, in small letters: code, names, set, and its colour in words. */
function findableBy(pencil: Pencil): string {
  const lab = labOfHex(pencil.colour);
  const temperature = isWarm(wheelOfHue(oklchOfLab(lab).h)) ? 'warm' : 'cool';
  return [pencil.code, pencil.name, pencil.ownName, pencil.set, wordsFor(lab), temperature].join(' ').toLowerCase();
}

/** Whether a pencil fits every word typed. */
export function matchesWords(pencil: Pencil, words: string): boolean {
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  if (wanted.length === 0) return true;
  const text = findableBy(pencil);
  return wanted.every((word) => text.includes(word));
}
