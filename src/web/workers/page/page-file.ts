import { type LaidSheet, renderSheet } from '../../../core/render/index.ts';
import { checkpoints } from '../../../core/run/index.ts';
import { layDeskLight } from '../../desk/desk-light.ts';
import { type Job } from '../job.ts';
import { pageOf } from './kept-pages.ts';
import { withDensity } from './png-density.ts';

export interface PageFileInput {
  key: string;
  sheet: LaidSheet;
  /** Dots an inch. */
  dpi: number;
}

const MM_PER_INCH = 25.4;
/** Rows that are painted at a time. */
const STRIP = 256;

/** The whole page as a PNG at so many dots an inch, as it lies under the lamp of the desk. */
export const pageFile: Job<PageFileInput, Blob> = {
  async run({ key, sheet, dpi }, run) {
    const checkpoint = checkpoints(run);
    const { page, ink } = pageOf(key);
    await checkpoint(0.05, 'working out the light');
    const perMm = dpi / MM_PER_INCH;
    const step = Math.max(1, Math.floor(page.index.pixelsPerMm / perMm));
    const lines = await ink();
    const { widthMm, heightMm } = page.whole;
    const canvas = new OffscreenCanvas(Math.round(widthMm * perMm), Math.round(heightMm * perMm));
    const context = canvas.getContext('2d')!;
    for (let top = 0; top < canvas.height; top += STRIP) {
      await checkpoint(0.15 + (0.7 * top) / canvas.height, 'painting the page');
      const rows = Math.min(STRIP, canvas.height - top);
      const piece = { left: 0, top: top / perMm, widthMm, heightMm: rows / perMm, perMm };
      const { data, width } = renderSheet(page, lines, sheet, { step, piece });
      context.putImageData(new ImageData(data as Uint8ClampedArray<ArrayBuffer>, width), 0, top);
    }
    layDeskLight(context, canvas.width, canvas.height);
    await checkpoint(0.9, 'writing the file');
    return withDensity(await canvas.convertToBlob({ type: 'image/png' }), dpi);
  },
};
