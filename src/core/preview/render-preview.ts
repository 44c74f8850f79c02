import { type Rgb } from '../colour/index.ts';
import { type PageFields } from '../light/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { GRAIN_PER_MM, TILE, paperGrain } from './grain.ts';
import { pigmentShare } from './shade.ts';
import { SECOND_STEPS, TONE_STEPS, type ToneTable } from './tone-tables.ts';

/** What a preview is painted from. */
export interface PreviewSource {
  width: number;
  height: number;
  pixelsPerMm: number;
  /** Region id of each pixel, grown through the lines. */
  labels: Uint16Array;
  /** Fields of each pixel, 0..255. */
  fields: PageFields;
  /** sRGB of the bare paper. */
  paper: Rgb;
  /** The table to paint each region by, at its id; null for regions that nothing is laid on yet. */
  tables: readonly (ToneTable | null)[];
}

/** How much of the pigment's share each grain and speck value shows, 0..255: 256 x 256, built once. */
const SHARE = Uint8Array.from({ length: 65536 }, (_, i) => Math.round(255 * pigmentShare(i & 255, i >> 8)));

/**
 * Paints what will come out: for each pixel the table of its region at the values of its fields, pigment on the grain and paper in
 * the valleys. Printed lines are not painted; lay the page over it.
 */
export function renderPreview(source: PreviewSource): RgbaImage {
  const { width, height, labels, fields, tables } = source;
  const data = new Uint8ClampedArray(4 * width * height);
  // Whole pixels are written at once; the bytes lie red, green, blue, alpha from the lowest on every machine that runs this.
  const pixels = new Uint32Array(data.buffer);
  const [red, green, blue] = source.paper.map(Math.round);
  const bare = pack(red, green, blue);
  const grainScale = GRAIN_PER_MM / source.pixelsPerMm;
  const mask = TILE - 1;
  const grainColumns = Int32Array.from({ length: width }, (_, x) => (x * grainScale) & mask);
  let label = -1;
  let table: ToneTable | null = null;
  let rgb: Uint8Array = new Uint8Array();
  let specks = rgb;
  let first = fields.tone;
  let second: Uint8Array | null = null;
  for (let y = 0, i = 0; y < height; y++) {
    const grainRow = ((y * grainScale) & mask) * TILE;
    for (let x = 0; x < width; x++, i++) {
      if (labels[i] !== label) {
        label = labels[i];
        table = tables[label] ?? null;
        if (table) {
          ({ rgb, specks } = table);
          first = fields[table.fields[0]];
          second = table.fields.length > 1 ? fields[table.fields[1]] : null;
        }
      }
      if (table === null) {
        pixels[i] = bare;
        continue;
      }
      let t = (first[i] * TONE_STEPS) >> 8;
      if (second) t += TONE_STEPS * ((second[i] * SECOND_STEPS) >> 8);
      const share = SHARE[(specks[t] << 8) | paperGrain[grainRow + grainColumns[x]]];
      const rest = 255 - share;
      pixels[i] = pack(
        ((red * rest + rgb[3 * t] * share) * 257) >> 16,
        ((green * rest + rgb[3 * t + 1] * share) * 257) >> 16,
        ((blue * rest + rgb[3 * t + 2] * share) * 257) >> 16,
      );
    }
  }
  return { width, height, data };
}

function pack(red: number, green: number, blue: number): number {
  return 0xff000000 | (blue << 16) | (green << 8) | red;
}
