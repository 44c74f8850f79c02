/** swatch-card: what is printed on a card for swatches, and how a picture of a filled one is read. */
export {
  CARD_MM,
  type CardBox,
  type CardCell,
  type CardLayout,
  type CardName,
  MARK_MM,
  MOST_PAGES,
  ROWS_ON_A_PAGE,
  layOutCard,
  pagesOf,
} from './layout.ts';
export { findCard } from './find-card.ts';
export { type CardDoubt, type CardReading, cardNameIn, readCard } from './read-card.ts';
