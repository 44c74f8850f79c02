import { hexOfLab } from '../../core/colour/index.ts';
import { BAR } from '../../core/laydown/index.ts';
import {
  type CardCell,
  type CardLayout,
  MARK_MM,
  ROWS_ON_A_PAGE,
  layOutCard,
  pagesOf,
} from '../../core/swatch-card/index.ts';
import { type Font, POINTS_PER_MM, type Pdf, newPdf } from './pdf-fonts.ts';

/** What stands at a row: a pencil, or nothing yet. */
export type CardRow = { code: string; name: string } | null;

/** Where the first mark lies on an A4 page, mm. */
const ORIGIN = { left: 13, top: 22 };
const INK = '#1c1b1b';
const FAINT = '#b9b8b6';

const GUIDE = [
  'Print at 100%. Lay each patch as its column says, in your usual hand.',
  '“+ next”: over it a medium patch of the pencil below; last row, of the first.',
  'At the foot: light over itself, 2, 4 and 8 times, tells how this paper fills.',
  'Then photograph it flat in daylight, or scan it without corrections.',
];

/** Words over the columns of patches: how each is laid. */
const PATCH_WORDS = {
  light: 'light',
  medium: 'medium',
  firm: 'firm',
  full: 'firm 2x, burnish',
  'light-twice': 'light 2x',
  'light-four': 'light 4x',
  'light-eight': 'light 8x',
} as const;

/**
 * A swatch card as a PDF of A4 pages, to be printed at its real size on the paper that it is for.
 * @param paper name of that paper
 */
export function cardPdf(number: number, paper: string, rows: readonly CardRow[]): Promise<Uint8Array> {
  const pages = pagesOf(rows.length);
  const { pdf, bytes } = newPdf(`Swatch card ${number}`);
  for (let page = 0; page < pages; page++) {
    const own = rows.slice(page * ROWS_ON_A_PAGE, (page + 1) * ROWS_ON_A_PAGE);
    pdf.addPage();
    pdf.save().scale(POINTS_PER_MM).translate(ORIGIN.left, ORIGIN.top);
    drawPage(pdf, layOutCard(own.length, { card: number, page }), own, {
      title: `Swatch card ${number}`,
      which: pages > 1 ? `page ${page + 1} of ${pages}, for ${paper}` : `for ${paper}`,
    });
    pdf.restore();
  }
  pdf.end();
  return bytes;
}

function drawPage(
  pdf: Pdf,
  layout: CardLayout,
  rows: readonly CardRow[],
  { title, which }: { title: string; which: string },
): void {
  const write = (font: Font, size: number, text: string, x: number, y: number, width: number) =>
    pdf
      .font(font)
      .fontSize(size)
      .fillColor(INK)
      .text(text, x, y, { width, height: size * 1.3, ellipsis: true });
  const outline = (colour: string) => pdf.lineWidth(0.15).strokeColor(colour).stroke();
  const ring = (MARK_MM.outer - MARK_MM.inner) / 2;
  layout.marks.forEach(({ x, y }, i) => {
    if (i === 0) pdf.circle(x, y, MARK_MM.outer / 2).fill(INK);
    else
      pdf
        .circle(x, y, MARK_MM.inner / 2 + ring / 2)
        .lineWidth(ring)
        .strokeColor(INK)
        .stroke();
  });
  write('bold', 4.6, title, 6, -2, 60);
  write('text', 3.2, which, 6, 4, 80);
  GUIDE.forEach((line, i) => write('text', 2.7, line, -2, 9.6 + 3.5 * i, 98));
  for (const { box, filled } of layout.code) {
    pdf.rect(box.x, box.y, box.width, box.height);
    if (filled) pdf.fill(INK);
    else outline(INK);
  }
  for (const { box, lightness } of layout.greys) {
    pdf.rect(box.x, box.y, box.width, box.height).fill(hexOfLab([lightness, 0, 0]));
  }
  pdf.rect(layout.bar.x, layout.bar.y, layout.bar.width, layout.bar.height).fill(BAR);
  const greysTop = Math.min(...layout.greys.map(({ box }) => box.y));
  for (const cell of layout.cells) {
    const { x, y, width, height } = cell.box;
    pdf.rect(x, y, width, height);
    outline(FAINT);
    if (cell.row === 0 && cell.box.y < greysTop) write('text', 2.3, wordsOver(cell), x, y - 4.6, width + 2);
  }
  for (const { row, box } of layout.ladders) {
    write('text', 2.1, `${rows[row]?.code ?? `row ${row + 1}`}: light 2x, 4x, 8x`, box.x, box.y, box.width);
  }
  layout.labels.forEach(({ x, y, width, height }, row) => {
    const pencil = rows[row];
    if (pencil) {
      write('figure', 4.2, pencil.code, x, y + 0.6, width);
      write('text', 2.9, pencil.name, x, y + 5.6, width);
    } else {
      pdf.moveTo(x, y + height - 1.5).lineTo(x + width - 4, y + height - 1.5);
      outline(FAINT);
    }
  });
}

function wordsOver({ patch, on, over }: CardCell): string {
  if (over !== null) return 'medium + next';
  return on === 'bar' && patch === 'light' ? 'light, on dark' : PATCH_WORDS[patch];
}
