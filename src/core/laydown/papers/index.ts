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
 * The paper with this id.
 * @throws RangeError when there is none.
 */
export function paperById(id: string): Paper {
  const paper = PAPERS.find((p) => p.id === id);
  if (!paper) throw new RangeError(`There is no paper called "${id}".`);
  return paper;
}
