import type { PDFDocumentProxy } from 'pdfjs-dist';

/** A PDF opened to take one page out of. */
export interface OpenPdf {
  pages: number;
  /** Draws a page, counted from 1, to a canvas so that its longer side has so many pixels. */
  draw(page: number, canvas: HTMLCanvasElement, longest: number): Promise<void>;
  /** A page as a picture at 300 dpi, as far as its size allows, and its real size. */
  print(page: number): Promise<{ picture: Blob; widthMm: number; heightMm: number }>;
  close(): void;
}

const MM_PER_POINT = 25.4 / 72;
const DPI = 300;
/** Pages are never drawn larger, pixels on the longer side: a poster comes out at less than 300 dpi. */
const LONGEST = 6000;

/** Whether a file is a PDF, by its first bytes. */
export async function isPdf(file: Blob): Promise<boolean> {
  return (await file.slice(0, 1024).text()).includes('%PDF-');
}

/**
 * Opens a PDF. What it holds is drawn only; scripts in it are never run.
 * @throws Error with one sentence for a PDF that is broken or locked with a password
 */
export async function openPdf(file: Blob): Promise<OpenPdf> {
  const pdfjs = await import('pdfjs-dist');
  pdfjs.GlobalWorkerOptions.workerSrc = new URL('pdfjs-dist/build/pdf.worker.min.mjs', import.meta.url).href;
  const data = new Uint8Array(await file.arrayBuffer());
  let pdf: PDFDocumentProxy;
  try {
    pdf = await pdfjs.getDocument({ data, isEvalSupported: false }).promise;
  } catch (error) {
    if ((error as Error).name === 'PasswordException')
      throw new Error('This PDF is locked with a password. Save a copy without one and bring that.', { cause: error });
    throw new Error('This PDF is broken and cannot be opened. Save or export it again.', { cause: error });
  }
  const drawTo = async (number: number, canvas: HTMLCanvasElement, scaleOf: (longest: number) => number) => {
    const page = await pdf.getPage(number);
    const { width, height } = page.getViewport({ scale: 1 });
    const viewport = page.getViewport({ scale: scaleOf(Math.max(width, height)) });
    canvas.width = Math.round(viewport.width);
    canvas.height = Math.round(viewport.height);
    await page.render({ canvas, viewport, background: '#ffffff' }).promise;
    return { widthMm: width * MM_PER_POINT, heightMm: height * MM_PER_POINT };
  };
  return {
    pages: pdf.numPages,
    async draw(page, canvas, longest) {
      await drawTo(page, canvas, (points) => longest / points);
    },
    async print(page) {
      const canvas = document.createElement('canvas');
      const size = await drawTo(page, canvas, (points) => Math.min(DPI / 72, LONGEST / points));
      const picture = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
      if (!picture) throw new Error('This page is too large to be drawn. Save it as a picture at 300 dpi.');
      return { picture, ...size };
    },
    close: () => void pdf.loadingTask.destroy(),
  };
}
