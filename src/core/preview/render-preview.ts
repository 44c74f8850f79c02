import { type Rgb } from '../colour/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { GRAIN_PER_MM, TILE, paperGrain } from './grain.ts';
import { pigmentShare } from './shade.ts';
import { TONE_STEPS, type ToneTable } from './tone-tables.ts';

/** What a preview is painted from. */
export interface PreviewSource {
  width: number;
  height: number;
  pixelsPerMm: number;
  /** Region id of each pixel, grown through the lines. */
  labels: Uint16Array;
  /** Tone of each pixel, 0..255. */
  tone: Uint8Array;
  /** sRGB of the bare paper. */
  paper: Rgb;
  /** The table to paint each region by, at its id; null for regions that nothing is laid on yet. */
  tables: readonly (ToneTable | null)[];
}

/** Which part of the page to paint, pixels, and every how many pixels to look. */
export interface PreviewWindow {
  left: number;
  top: number;
  width: number;
  height: number;
  /** 1 paints every pixel, 2 every second one across and down, and so on. */
  step: number;
}

/** How much of the pigment's share each grain and speck value shows, 0..255: 256 x 256, built once. */
const SHARE = Uint8Array.from({ length: 65536 }, (_, i) => Math.round(255 * pigmentShare(i & 255, i >> 8)));

/**
 * Paints what will come out: for each pixel the table of its region at its tone, pigment on the grain and paper in
 * the valleys. Printed lines are not painted; lay the page over it.
 * @param window the part to paint; the whole page at full size by default
 */
export function renderPreview(source: PreviewSource, window?: PreviewWindow): RgbaImage {
  const { left, top, width, height, step } = window ?? {
    left: 0,
    top: 0,
    width: source.width,
    height: source.height,
    step: 1,
  };
  const across = Math.ceil(width / step);
  const down = Math.ceil(height / step);
  const data = new Uint8ClampedArray(4 * across * down);
  // Whole pixels are written at once; the bytes lie red, green, blue, alpha from the lowest on every machine that runs this.
  const pixels = new Uint32Array(data.buffer);
  const [red, green, blue] = source.paper.map(Math.round);
  const bare = pack(red, green, blue);
  const { labels, tone, tables } = source;
  const grainScale = GRAIN_PER_MM / source.pixelsPerMm;
  const mask = TILE - 1;
  const xs = Int32Array.from({ length: across }, (_, ox) => Math.min(source.width - 1, left + ox * step));
  const grainColumns = xs.map((x) => (x * grainScale) & mask);
  let label = -1;
  let table: ToneTable | null = null;
  let rgb: Uint8Array = new Uint8Array();
  let specks = rgb;
  for (let oy = 0, p = 0; oy < down; oy++) {
    const y = Math.min(source.height - 1, top + oy * step);
    const row = y * source.width;
    const grainRow = ((y * grainScale) & mask) * TILE;
    for (let ox = 0; ox < across; ox++, p++) {
      const i = row + xs[ox];
      if (labels[i] !== label) {
        label = labels[i];
        table = tables[label] ?? null;
        if (table) ({ rgb, specks } = table);
      }
      if (table === null) {
        pixels[p] = bare;
        continue;
      }
      const t = (tone[i] * (TONE_STEPS - 1) + 127) >> 8;
      const share = SHARE[(specks[t] << 8) | paperGrain[grainRow + grainColumns[ox]]];
      const rest = 255 - share;
      pixels[p] = pack(
        ((red * rest + rgb[3 * t] * share) * 257) >> 16,
        ((green * rest + rgb[3 * t + 1] * share) * 257) >> 16,
        ((blue * rest + rgb[3 * t + 2] * share) * 257) >> 16,
      );
    }
  }
  return { width: across, height: down, data };
}

function pack(red: number, green: number, blue: number): number {
  return 0xff000000 | (blue << 16) | (green << 8) | red;
}
