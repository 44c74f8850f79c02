import { type Rgb } from '../colour/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { renderPreview } from './render-preview.ts';
import { type ToneTable } from './tone-tables.ts';

/** A recipe's passage from its deepest shadow at the left to its highlight at the right, grain and all. */
export function rampStrip(
  table: ToneTable,
  paper: Rgb,
  { width, height }: { width: number; height: number },
): RgbaImage {
  const tone = Uint8Array.from({ length: width * height }, (_, i) => (255 * (i % width)) / Math.max(1, width - 1));
  const labels = new Uint16Array(width * height).fill(1);
  return renderPreview({ width, height, pixelsPerMm: 8, labels, tone, paper, tables: [null, table] });
}
