import { type Rgb } from '../colour/index.ts';
import { type PageFields, FIELDS } from '../light/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { renderPreview } from './render-preview.ts';
import { type ToneTable } from './tone-tables.ts';

/**
 * A recipe's passage from its deepest shadow at the left to its highlight at the right, grain and all. Where it looks at
 * a second field, that rises from the bottom to the top.
 */
export function rampStrip(
  table: ToneTable,
  { rgb: paper, grainMm }: { rgb: Rgb; grainMm: number },
  { width, height }: { width: number; height: number },
): RgbaImage {
  const across = Uint8Array.from({ length: width * height }, (_, i) => (255 * (i % width)) / Math.max(1, width - 1));
  const up = Uint8Array.from(across, (_, i) => 255 - (255 * Math.floor(i / width)) / Math.max(1, height - 1));
  // Of a reflection the first source is shown, from nothing to all of it.
  const reflected = up.map((value) => value >> 2);
  const fields = Object.fromEntries(
    FIELDS.map((field) => [field, table.fields[1] === field ? (field === 'reflect' ? reflected : up) : across]),
  );
  const labels = new Uint16Array(width * height).fill(1);
  return renderPreview({
    width,
    height,
    pixelsPerMm: 8,
    labels,
    paper,
    grainMm,
    tables: [null, table],
    fields: fields as PageFields,
  });
}
