import { createRequire } from 'node:module';
import PDFDocument from 'pdfkit';

const { resolve } = createRequire(import.meta.url);
const fontFile = (name: string) => resolve(`@fontsource/${name}`);
const FONTS = {
  text: fontFile('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff'),
  bold: fontFile('atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff'),
  figure: fontFile('spline-sans-mono/files/spline-sans-mono-latin-700-normal.woff'),
};
export type Font = keyof typeof FONTS;
export type Pdf = InstanceType<typeof PDFDocument>;
export const POINTS_PER_MM = 72 / 25.4;

/** An A4 document without a page yet, with its fonts, and all of its bytes once it is ended. */
export function newPdf(title: string): { pdf: Pdf; bytes: Promise<Uint8Array> } {
  const pdf = new PDFDocument({ size: 'A4', margin: 0, autoFirstPage: false, info: { Title: title } });
  const chunks: Uint8Array[] = [];
  pdf.on('data', (chunk: Uint8Array) => chunks.push(chunk));
  const bytes = new Promise<Uint8Array>((finish, fail) => {
    pdf.on('end', () => finish(Buffer.concat(chunks)));
    pdf.on('error', fail);
  });
  for (const [name, file] of Object.entries(FONTS)) pdf.registerFont(name, file);
  return { pdf, bytes };
}
