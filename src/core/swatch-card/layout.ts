import { labOfHex } from '../colour/index.ts';
import { BAR, LADDER_PATCHES, type Patch } from '../laydown/index.ts';

/** A rectangle on a card, mm from its top left corner mark, y down. */
export interface CardBox {
  x: number;
  y: number;
  width: number;
  height: number;
}

/** One patch of a card: how it is laid, on what, and whose. */
export interface CardCell {
  /** Row of the pencil on this page, from 0. */
  row: number;
  patch: Patch;
  on: 'paper' | 'bar';
  /** Row of the pencil of which the same patch goes over it, or null. */
  over: number | null;
  box: CardBox;
}

/** One page of a swatch card: what is printed on it, and where each patch goes. All lengths in mm from its first mark. */
export interface CardLayout {
  width: number;
  height: number;
  /** Middles of the corner marks, clockwise from the top left: a disc there, rings at the others. */
  marks: readonly { x: number; y: number }[];
  /** The boxes that say which card and page this is; filled ones are true. */
  code: readonly { box: CardBox; filled: boolean }[];
  /** Printed greys, darkest first, with the lightness that each is printed at. */
  greys: readonly { box: CardBox; lightness: number }[];
  bar: CardBox;
  /** Where a pencil's code and name stand. */
  labels: readonly CardBox[];
  /** Where the code of a pencil stands that is laid over itself at the foot, and its row. */
  ladders: readonly { row: number; box: CardBox }[];
  cells: readonly CardCell[];
}

/** Which page of which card a code says that it is. */
export interface CardName {
  /** 0 to 1023. */
  card: number;
  /** From 0. */
  page: number;
}

/** Across and down between the middles of the marks: with a margin of 12 mm it lies on A4 and on letter paper alike. */
export const CARD_MM = { width: 184, height: 252 };
/** Diameter of a mark, and of the hole in a ring. */
export const MARK_MM = { outer: 6, inner: 3 };
export const ROWS_ON_A_PAGE = 18;
export const MOST_PAGES = 32;
const CARDS = 1024;

const CELL = { width: 15, height: 9.5 };
const GAP = { x: 2.5, y: 2 };
const LABEL_WIDTH = 38;
const TOP = 28;
const CODE = { x: 96, y: 6, side: 4, step: 5.2 };
const GREYS = { y: 239, width: 13, height: 9, step: 15.5 };
const GREY_STEPS = 6;

/** The patches of a row, from left to right. The last three lie on the bar. */
const COLUMNS: readonly Pick<CardCell, 'patch' | 'on'>[] = [
  { patch: 'light', on: 'paper' },
  { patch: 'medium', on: 'paper' },
  { patch: 'firm', on: 'paper' },
  { patch: 'full', on: 'paper' },
  { patch: 'medium', on: 'paper' },
  { patch: 'light', on: 'bar' },
  { patch: 'firm', on: 'bar' },
  { patch: 'full', on: 'bar' },
];
const OVERLAY_COLUMN = 4;

/** At the foot beside the greys: so many pencils on the first page and on each other, laid over themselves. */
const LADDER = { x: 104, y: 241.6, width: 5.8, height: 6.4, step: 6.3, apart: 20.2, label: 2.9 };
const LADDERS = { first: 4, other: 1 };

/** Which card and page, as filled and empty boxes: ten of the card, five of the page, and one that makes them even. */
export function codeBits({ card, page }: CardName): boolean[] {
  const bits = [...bitsOf(card, 10), ...bitsOf(page, 5)];
  return [...bits, bits.filter(Boolean).length % 2 === 1];
}

/** What boxes say; null where their number is not even, since one was misread then. */
export function nameOfCode(bits: readonly boolean[]): CardName | null {
  if (bits.length !== 16 || bits.filter(Boolean).length % 2 === 1) return null;
  const numberOf = (some: readonly boolean[]) => some.reduce((sum, bit) => 2 * sum + Number(bit), 0);
  return { card: numberOf(bits.slice(0, 10)), page: numberOf(bits.slice(10, 15)) };
}

function bitsOf(value: number, count: number): boolean[] {
  return Array.from({ length: count }, (_, i) => ((value >> (count - 1 - i)) & 1) === 1);
}

/** How many pages a card of so many pencils has. */
export function pagesOf(pencils: number): number {
  return Math.ceil(pencils / ROWS_ON_A_PAGE);
}

/**
 * Lays out one page of a swatch card: a row a pencil; light, medium, firm and full patches on paper, a medium one with
 * the next pencil's over it, and light, firm and full ones over a dark bar. The last row's overlay takes the first's
 * pencil; a pencil alone has none. At the foot some pencils, spread over the page, are laid lightly two, four and eight
 * times over themselves.
 * @param rows pencils on this page, 1 to 18
 * @throws RangeError for more or fewer rows, or a card or page number that the code cannot say
 */
export function layOutCard(rows: number, name: CardName): CardLayout {
  if (!(Number.isInteger(rows) && rows >= 1 && rows <= ROWS_ON_A_PAGE)) {
    throw new RangeError(`A page of a card has 1 to ${ROWS_ON_A_PAGE} rows; ${rows} is none of them.`);
  }
  if (!(name.card >= 0 && name.card < CARDS && name.page >= 0 && name.page < MOST_PAGES)) {
    throw new RangeError(`Cards are numbered from 0 to ${CARDS - 1}, their pages from 0 to ${MOST_PAGES - 1}.`);
  }
  const { width, height } = CARD_MM;
  const left = (column: number) => width - (COLUMNS.length - column) * (CELL.width + GAP.x) + GAP.x - 2;
  const top = (row: number) => TOP + row * (CELL.height + GAP.y);
  const laidOver = spread(rows, name.page === 0 ? LADDERS.first : LADDERS.other);
  const onBar = COLUMNS.findIndex(({ on }) => on === 'bar');
  return {
    width,
    height,
    marks: [
      { x: 0, y: 0 },
      { x: width, y: 0 },
      { x: width, y: height },
      { x: 0, y: height },
    ],
    code: codeBits(name).map((filled, i) => ({
      filled,
      box: { x: CODE.x + i * CODE.step, y: CODE.y, width: CODE.side, height: CODE.side },
    })),
    greys: Array.from({ length: GREY_STEPS }, (_, i) => ({
      box: { x: 10 + i * GREYS.step, y: GREYS.y, width: GREYS.width, height: GREYS.height },
      lightness: labOfHex(BAR)[0] + ((88 - labOfHex(BAR)[0]) * i) / (GREY_STEPS - 1),
    })),
    bar: {
      x: left(onBar) - 1.2,
      y: TOP - 1.2,
      width: width - 2 - left(onBar) + 2.4,
      height: top(rows) - GAP.y - TOP + 2.4,
    },
    labels: Array.from({ length: rows }, (_, row) => ({
      x: -2,
      y: top(row),
      width: LABEL_WIDTH,
      height: CELL.height,
    })),
    ladders: laidOver.map((row, k) => ({
      row,
      box: {
        x: LADDER.x + k * LADDER.apart,
        y: LADDER.y - LADDER.label,
        width: LADDER.apart - 1,
        height: LADDER.label,
      },
    })),
    cells: [
      ...Array.from({ length: rows }, (_, row) =>
        COLUMNS.flatMap((column, i): CardCell[] => {
          const over = i === OVERLAY_COLUMN ? (row + 1) % rows : null;
          if (over === row) return [];
          return [{ row, ...column, over, box: { x: left(i), y: top(row), ...CELL } }];
        }),
      ).flat(),
      ...laidOver.flatMap((row, k) =>
        LADDER_PATCHES.map((patch, i): CardCell => {
          const x = LADDER.x + k * LADDER.apart + i * LADDER.step;
          return {
            row,
            patch,
            on: 'paper',
            over: null,
            box: { x, y: LADDER.y, width: LADDER.width, height: LADDER.height },
          };
        }),
      ),
    ],
  };
}

/** At most so many of some rows, spread over them from the first to the last; of one, the middle. */
function spread(rows: number, most: number): number[] {
  if (most === 1) return [rows >> 1];
  const count = Math.min(rows, most);
  return Array.from({ length: count }, (_, k) => Math.round((k * (rows - 1)) / Math.max(1, count - 1)));
}
