import { type Rgb } from '../colour/index.ts';
import { type PageFields } from '../light/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { type Course, alongCourse } from './courses.ts';
import { GRAIN_PER_MM, TILE, grainOf } from './grain.ts';
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
  /** The course of the strokes on each region, at its id. Default none: they run as their table says. */
  courses?: readonly (Course | null)[];
}

/** Shares of pigment are told apart by so many steps. */
const LEVELS = 16;
/** How much of the pigment's share each grain and speck value shows, 0..LEVELS - 1: 256 x 256, built once. */
const SHARE = Uint8Array.from({ length: 65536 }, (_, i) => Math.round((LEVELS - 1) * pigmentShare(i & 255, i >> 8)));

/** The pixels of a table on a paper: for each of its steps one for every share of pigment. */
const PIXELS = new WeakMap<ToneTable, { paper: number; pixels: Uint32Array }>();

function pixelsOf(table: ToneTable, paper: Rgb): Uint32Array {
  const bare = packed(paper);
  const known = PIXELS.get(table);
  if (known?.paper === bare) return known.pixels;
  const { rgb, specks } = table;
  const pixels = new Uint32Array(specks.length * LEVELS);
  for (let t = 0, o = 0; t < specks.length; t++) {
    for (let level = 0; level < LEVELS; level++, o++) {
      const share = level / (LEVELS - 1);
      const mixed = (c: number) => paper[c] + (rgb[3 * t + c] - paper[c]) * share;
      pixels[o] = packed([mixed(0), mixed(1), mixed(2)]);
    }
  }
  PIXELS.set(table, { paper: bare, pixels });
  return pixels;
}

/**
 * Paints what will come out: for each pixel the table of its region at the values of its fields, pigment on the grain and
 * paper in the valleys. Printed lines are not painted; lay the page over it.
 */
export function renderPreview(source: PreviewSource): RgbaImage {
  const { width, height, pixelsPerMm, labels, fields, tables, paper, courses } = source;
  const data = new Uint8ClampedArray(4 * width * height);
  // Whole pixels are written at once; the bytes lie red, green, blue, alpha from the lowest on every machine that runs this.
  const out = new Uint32Array(data.buffer);
  const bare = packed(paper);
  const grainScale = GRAIN_PER_MM / pixelsPerMm;
  const mask = TILE - 1;
  // A pixel that covers several of the grain's shows the mean of four of them.
  const half = Math.floor(grainScale / 2);
  const grainColumns = Int32Array.from({ length: width }, (_, x) => (x * grainScale) & mask);
  for (let y = 0; y < height; y++) {
    const grainRow = (y * grainScale) & mask;
    const end = (y + 1) * width;
    for (let i = y * width; i < end;) {
      // Runs of one region are painted at once.
      const label = labels[i];
      let stop = i + 1;
      while (stop < end && labels[stop] === label) stop++;
      const table = tables[label] ?? null;
      if (table === null) {
        out.fill(bare, i, stop);
        i = stop;
        continue;
      }
      const pixels = pixelsOf(table, paper);
      const { specks } = table;
      const course = courses?.[label] ?? null;
      const grain = grainOf(course ? 'level' : table.drawn);
      const first = fields[table.fields[0]];
      const second = table.fields.length > 1 ? fields[table.fields[1]] : null;
      if (course === null && half === 0) {
        for (let x = i - y * width; i < stop; x++, i++) {
          let t = (first[i] * TONE_STEPS) >> 8;
          if (second !== null) t += TONE_STEPS * ((second[i] * SECOND_STEPS) >> 8);
          out[i] = pixels[t * LEVELS + SHARE[(specks[t] << 8) | grain[grainRow * TILE + grainColumns[x]]]];
        }
        continue;
      }
      for (let x = i - y * width; i < stop; x++, i++) {
        let [column, row] = [grainColumns[x], grainRow];
        if (course) [column, row] = placeInGrain(course, x / pixelsPerMm, y / pixelsPerMm);
        const [right, below] = [(column + half) & mask, (row + half) & mask];
        let t = (first[i] * TONE_STEPS) >> 8;
        if (second !== null) t += TONE_STEPS * ((second[i] * SECOND_STEPS) >> 8);
        const shares = specks[t] << 8;
        const [upper, lower] = [row * TILE, below * TILE];
        const all =
          SHARE[shares | grain[upper + column]] +
          SHARE[shares | grain[upper + right]] +
          SHARE[shares | grain[lower + column]] +
          SHARE[shares | grain[lower + right]];
        out[i] = pixels[t * LEVELS + ((all + 2) >> 2)];
      }
    }
  }
  return { width, height, data };
}

/** Column and row of the grain tile at a place, mm, where its level strokes follow a course. */
function placeInGrain(course: Course, x: number, y: number): readonly [number, number] {
  const [along, across] = alongCourse(course, x, y);
  return [(along * GRAIN_PER_MM) & (TILE - 1), (across * GRAIN_PER_MM) & (TILE - 1)];
}

function packed([red, green, blue]: Rgb): number {
  return (0xff000000 | (Math.round(blue) << 16) | (Math.round(green) << 8) | Math.round(red)) >>> 0;
}
