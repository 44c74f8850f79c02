import type { AddReadings, Pencil, SwatchCard } from '../../../contracts/index.ts';
import { type CardReading, ROWS_ON_A_PAGE, pagesOf } from '../../../core/swatch-card/index.ts';

/** One page of a printed card. */
export interface CardPage {
  id: string;
  card: SwatchCard;
  /** From 0. */
  page: number;
}

/** Every page of the cards that were printed. */
export function pagesIn(cards: readonly SwatchCard[]): CardPage[] {
  return cards.flatMap((card) =>
    Array.from({ length: pagesOf(card.pencilIds.length + card.emptyRows) }, (_, page) => ({
      id: `${card.id} ${page}`,
      card,
      page,
    })),
  );
}

/**
 * The pencils of a page's rows; undefined where none of the tray stands there.
 * @param codes what was written on a card with empty rows, in their order
 */
export function rowsOf(
  card: SwatchCard,
  page: number,
  pencils: readonly Pencil[],
  codes: readonly string[],
): (Pencil | undefined)[] {
  const [from, to] = [page * ROWS_ON_A_PAGE, (page + 1) * ROWS_ON_A_PAGE];
  if (card.emptyRows === 0) {
    return card.pencilIds.slice(from, to).map((id) => pencils.find((pencil) => pencil.id === id));
  }
  const count = Math.min(ROWS_ON_A_PAGE, card.emptyRows - from);
  return Array.from({ length: count }, (_, row) =>
    pencils.find(({ code }) => code.toLowerCase() === codes[row]?.toLowerCase()),
  );
}

/** The readings of a page that are to be kept: those without doubt, and doubtful ones that were chosen. */
export function readingsToKeep(
  read: readonly CardReading[],
  chosen: ReadonlySet<number>,
  rows: readonly (Pencil | undefined)[],
  paper: string,
  newId: () => string,
): AddReadings['readings'] {
  return read.flatMap(({ row, patch, on, over, lab, doubt }, i) => {
    const [pencil, above] = [rows[row], over === null ? null : rows[over]];
    if (!pencil || above === undefined || (doubt && !chosen.has(i))) return [];
    return [{ id: newId(), pencilId: pencil.id, paper, patch, ground: on, lab, over: above?.id ?? null }];
  });
}

/** How a patch was laid, in words. */
export function patchWords({ patch, on, over }: CardReading, codeOf: (row: number) => string): string {
  if (over !== null) return `medium with ${codeOf(over)} over it`;
  return on === 'bar' ? `${patch} over dark` : patch;
}
