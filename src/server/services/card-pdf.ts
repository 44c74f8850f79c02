import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';
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

/** What stands at a row: a pencil, or nothing yet. */
export type CardRow = { code: string; name: string } | null;

const POINTS_PER_MM = 72 / 25.4;
/** Where the first mark lies on an A4 page, mm. */
const ORIGIN = { left: 13, top: 22 };
const INK = '#1c1b1b';
const FAINT = '#b9b8b6';

const { resolve } = createRequire(import.meta.url);
const fontFile = (name: string) => resolve(`@fontsource/${name}`);
const FONTS = {
  text: fontFile('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff'),
  bold: fontFile('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff'),
  figure: fontFile('spline-sans-mono/files/spline-sans-mono-latin-700-normal.woff'),
};

const GUIDE = [
  'Print at 100%. Lay each patch as its column says, in your usual hand.',
  '“+ next”: over it a medium patch of the pencil below; last row, of the first.',
  'Then photograph it flat in daylight, or scan it without corrections.',
];

/** Words over the columns of patches: how each is laid. */
const PATCH_WORDS = { light: 'light', medium: 'medium', firm: 'firm', full: 'firm 2x, burnish' } as const;

/**
 * A swatch card as a PDF of A4 pages, to be printed at its real size on the paper that it is for.
 * @param paper name of that paper
 */
export function cardPdf(number: number, paper: string, rows: readonly CardRow[]): Promise<Uint8Array> {
  const pages = pagesOf(rows.length);
  const pdf = new PDFDocument({
    size: 'A4',
    margin: 0,
    autoFirstPage: false,
    info: { Title: `Swatch card ${number}` },
  });
  const chunks: Uint8Array[] = [];
  pdf.on('data', (chunk: Uint8Array) => chunks.push(chunk));
  const done = new Promise<Uint8Array>((finish, fail) => {
    pdf.on('end', () => finish(Buffer.concat(chunks)));
    pdf.on('error', fail);
  });
  for (const [name, file] of Object.entries(FONTS)) pdf.registerFont(name, file);
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
  return done;
}

type Pdf = InstanceType<typeof PDFDocument>;

function drawPage(
  pdf: Pdf,
  layout: CardLayout,
  rows: readonly CardRow[],
  { title, which }: { title: string; which: string },
): void {
  const write = (font: keyof typeof FONTS, size: number, text: string, x: number, y: number, width: number) =>
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
  for (const cell of layout.cells) {
    const { x, y, width, height } = cell.box;
    pdf.rect(x, y, width, height);
    outline(FAINT);
    if (cell.row === 0) write('text', 2.3, wordsOver(cell), x, y - 4.6, width + 2);
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
