/** papers: one file a paper; to add one, write its file and list it here. */
import { creamSheet } from './cream-sheet.ts';
import { kraftCard } from './kraft-card.ts';
import { type Paper } from './paper.ts';
import { tonedGreyCard } from './toned-grey-card.ts';
import { toothedWhite } from './toothed-white.ts';
import { whiteBook } from './white-book.ts';

export { type Paper } from './paper.ts';
export { whiteBook };
/** Every paper the model knows. */
export const PAPERS: readonly Paper[] = [whiteBook, creamSheet, toothedWhite, tonedGreyCard, kraftCard];

/**
 * The paper with this id. A sheet whose tint was read or chosen has it behind the id of its kind: `white-book/f3ead8`.
 * @throws RangeError when there is none, or when what follows the kind is no colour.
 */
export function paperById(id: string): Paper {
  const [kind, tint] = id.split('/');
  const paper = PAPERS.find((p) => p.id === kind);
  if (!paper || (tint !== undefined && !/^[0-9a-f]{6}$/.test(tint))) {
    throw new RangeError(`There is no paper called "${id}".`);
  }
  return tint ? { ...paper, id, tint: `#${tint}` } : paper;
}

/** Id of the kind of paper that a paper is, whatever its tint. */
export function paperKind(id: string): string {
  return id.split('/')[0]!;
}

/**
 * Id of a paper of this kind with a tint of its own.
 * @param tint `#rrggbb`, or null for the tint that the kind has
 */
export function tintedPaper(id: string, tint: string | null): string {
  return tint ? `${paperKind(id)}/${tint.slice(1).toLowerCase()}` : paperKind(id);
}
