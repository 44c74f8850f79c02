import { CODE_OF_LIGHT, LIGHT_STEPS, type Rgb, labOfHex, linearise, lightOfLab } from '../colour/index.ts';
import { PRINTED_BLACK } from '../laydown/index.ts';
import { type PageFields } from '../light/index.ts';
import { type RgbaImage } from '../lineart/index.ts';
import { type Course, alongCourse, sameCourse } from './courses.ts';
import { TILE, grainOf, grainTile } from './grain.ts';
import {
  ACROSS_PER_MM,
  ALONG_PER_MM,
  STROKE_RUNS,
  STROKE_STEPS,
  STROKE_TILE,
  specksUnderStrokes,
  strokeTile,
} from './strokes.ts';
import { SECOND_STEPS, TONE_STEPS, type ToneTable } from './tone-tables.ts';

/** What a preview is painted from. */
export interface PreviewSource {
  width: number;
  height: number;
  pixelsPerMm: number;
  /** Region id of each pixel, grown through the lines. */
  labels: Uint16Array;
  /** Fields of each pixel, 0..255: those that its tables look at. */
  fields: Partial<PageFields>;
  /** sRGB of the bare paper, and the width of a feature of its grain, mm. */
  paper: Rgb;
  grainMm: number;
  /** The table to paint each region by, at its id; null for regions that nothing is laid on yet. */
  tables: readonly (ToneTable | null)[];
  /** The course of the strokes on each region, at its id. Default none: they run as their table says. */
  courses?: readonly (Course | null)[];
  /** The printed lines; without them the page is painted as if nothing were printed on it. */
  ink?: PrintedInk | null;
  /** Where the first pixel lies on the page, mm, for a piece of it: its grain is the page's own there. Default 0, 0. */
  origin?: { x: number; y: number };
}

/** The printed lines of a page, which stay as they are printed but for what pencils lay over them. */
export interface PrintedInk {
  /** Share of ink in each pixel, 0..255. */
  share: Uint8Array;
  /** What full ink reflects, 0..1. */
  reflects: number;
  /** What lies on the ink, at each region's id, from tables of the same fields; null for regions that leave it as it is. */
  tables: readonly (ToneTable | null)[] | null;
}

/**
 * What is added to a field before it falls on a step of a table, in 256ths of a step and 0 in the mean: neighbours fall on
 * different sides, so that no edge of a step shows as a line. Source: B. Bayer, An optimum method for two-level rendition
 * of continuous-tone pictures (1973).
 */
const SCATTERED = Int16Array.from([0, 8, 2, 10, 12, 4, 14, 6, 3, 11, 1, 9, 15, 7, 13, 5], (k) => 16 * k + 8 - 128);

/** Places on the tile of strokes are stepped through in this fraction of its pixels; its side and steps, in bits. */
const FINE_BITS = 16;
const FINE = 1 << FINE_BITS;
const STROKE_BITS = Math.log2(STROKE_TILE);
const STEP_BITS = Math.log2(STROKE_STEPS);

/** A picture, and what it was painted from. */
export interface Painted {
  source: PreviewSource;
  image: RgbaImage;
}

/** Light of some colour in red, green and blue, in steps of LIGHT_STEPS. */
type Light = readonly [red: number, green: number, blue: number];

/**
 * Paints what will come out: for each pixel the table of its region at the values of its fields, pigment on the grain and
 * paper in the valleys, and the printed lines by their own share of the pixel. All is mixed in light, as eyes, lenses and
 * smaller pictures mix it.
 * @param before the picture before this one: regions that look the same are taken over from it
 */
export function renderPreview(source: PreviewSource, before: Painted | null = null): RgbaImage {
  const { width, height, pixelsPerMm, labels, fields, tables, courses, ink, origin = { x: 0, y: 0 } } = source;
  const staying = before && regionsStaying(before.source, source);
  const data = before && staying ? before.image.data.slice() : new Uint8ClampedArray(4 * width * height);
  // Whole pixels are written at once; the bytes lie red, green, blue, alpha from the lowest on every machine that runs this.
  const out = new Uint32Array(data.buffer);
  const paper = source.paper.map((value) => LIGHT_STEPS * linearise(value)) as unknown as Light;
  const bare = packed(paper);
  const black = ink ? (paper.map((value) => value * ink.reflects) as unknown as Light) : paper;
  const bareLines = Uint32Array.from({ length: 256 }, (_, share) => mixed(paper, black, share));
  const lines = new Map<ToneTable | null, Float32Array>();
  const tooth = grainTile();
  const { stride, shares } = grainOf(source.grainMm, pixelsPerMm);
  const strokes = strokeTile();
  const under = specksUnderStrokes(pixelsPerMm);
  const printed = ink?.share ?? null;
  const mask = TILE - 1;
  const strokeMask = STROKE_TILE - 1;
  const columns = Int32Array.from({ length: width }, (_, x) => (stride * (origin.x * pixelsPerMm + x)) & mask);
  for (let y = 0; y < height; y++) {
    const grainRow = ((stride * (origin.y * pixelsPerMm + y)) & mask) * TILE;
    const yMm = origin.y + y / pixelsPerMm;
    const end = (y + 1) * width;
    for (let i = y * width; i < end;) {
      // Runs of one region are painted at once.
      const label = labels[i]!;
      let stop = i + 1;
      while (stop < end && labels[stop] === label) stop++;
      if (staying !== null && staying[label] === 1) {
        i = stop;
        continue;
      }
      const table = tables[label] ?? null;
      if (table === null) {
        for (; i < stop; i++) out[i] = printed === null ? bare : bareLines[printed[i]!]!;
        continue;
      }
      const { light, specks } = table;
      const course = courses?.[label] ?? null;
      const runs = STROKE_RUNS[table.drawn];
      const stroked = course !== null || runs !== null;
      const first = fields[table.fields[0]!]!;
      const second = table.fields.length > 1 ? fields[table.fields[1]!]! : null;
      const onInk = ink?.tables?.[label] ?? null;
      const line = lineUnder(onInk);
      const lineStep = onInk === null ? 0 : 3;
      let x = i - y * width;
      // Where strokes run straight, their tile is gone through in even steps, in fractions of whole numbers: these are
      // quicker to step and to wrap.
      const [cos, sin] = [runs?.x ?? 1, runs?.y ?? 0];
      const xMm = origin.x + x / pixelsPerMm;
      let along = (FINE * ALONG_PER_MM * (xMm * cos + yMm * sin)) | 0;
      let across = (FINE * ACROSS_PER_MM * (yMm * cos - xMm * sin)) | 0;
      const alongStep = Math.round((FINE * ALONG_PER_MM * cos) / pixelsPerMm);
      const acrossStep = Math.round((-FINE * ACROSS_PER_MM * sin) / pixelsPerMm);
      const scattered = (y & 3) << 2;
      for (; i < stop; x++, i++) {
        const between = (first[i]! * TONE_STEPS + SCATTERED[scattered | (x & 3)]!) >> 8;
        let t = between < 0 ? 0 : between >= TONE_STEPS ? TONE_STEPS - 1 : between;
        if (second !== null) t += TONE_STEPS * ((second[i]! * SECOND_STEPS) >> 8);
        let left = specks[t]!;
        if (course !== null) {
          const at = alongCourse(course, origin.x + x / pixelsPerMm, yMm);
          along = (FINE * ALONG_PER_MM * at[0]) | 0;
          across = (FINE * ACROSS_PER_MM * at[1]) | 0;
        }
        if (stroked) {
          const stroke = (((across >> FINE_BITS) & strokeMask) << STROKE_BITS) | ((along >> FINE_BITS) & strokeMask);
          left = under[(left << STEP_BITS) | strokes[stroke]!]!;
          along += alongStep;
          across += acrossStep;
        }
        const share = shares[(left << 8) | tooth[grainRow + columns[x]!]!]!;
        const at = 6 * t;
        let red = light[at + 3]! + (((light[at]! - light[at + 3]!) * share) >> 8);
        let green = light[at + 4]! + (((light[at + 1]! - light[at + 4]!) * share) >> 8);
        let blue = light[at + 5]! + (((light[at + 2]! - light[at + 5]!) * share) >> 8);
        if (printed !== null && printed[i]! > 0) {
          const under = lineStep * t;
          red += ((line[under]! - red) * printed[i]!) / 255;
          green += ((line[under + 1]! - green) * printed[i]!) / 255;
          blue += ((line[under + 2]! - blue) * printed[i]!) / 255;
        }
        out[i] =
          0xff000000 | (CODE_OF_LIGHT[blue | 0]! << 16) | (CODE_OF_LIGHT[green | 0]! << 8) | CODE_OF_LIGHT[red | 0]!;
      }
    }
  }
  return { width, height, data };

  /** The light of printed lines at every step of what is laid over them; of one step where nothing is. */
  function lineUnder(table: ToneTable | null): Float32Array {
    let line = lines.get(table);
    if (!line) lines.set(table, (line = table ? inkUnder(table, black) : Float32Array.from(black)));
    return line;
  }
}

/** Labels are 16 bits wide. */
const MOST_LABELS = 0x1_0000;

/**
 * Which regions look in a picture as they did in the one before: 1 at the id of each; null where the pictures have not
 * enough in common.
 */
function regionsStaying(before: PreviewSource, now: PreviewSource): Uint8Array | null {
  const alike =
    before.labels === now.labels &&
    before.fields === now.fields &&
    before.width === now.width &&
    before.pixelsPerMm === now.pixelsPerMm &&
    before.grainMm === now.grainMm &&
    before.ink?.share === now.ink?.share &&
    before.ink?.reflects === now.ink?.reflects &&
    before.paper.every((value, c) => value === now.paper[c]) &&
    before.origin === now.origin;
  if (!alike) return null;
  const staying = new Uint8Array(MOST_LABELS).fill(1);
  for (let id = 0; id < Math.max(before.tables.length, now.tables.length); id++) {
    const same =
      before.tables[id] === now.tables[id] &&
      before.ink?.tables?.[id] === now.ink?.tables?.[id] &&
      sameCourse(before.courses?.[id] ?? null, now.courses?.[id] ?? null);
    if (!same) staying[id] = 0;
  }
  return staying;
}

/**
 * Printed lines under what is laid over them, at each step: the page's own ink with as much light added as the layers add
 * to black. A line has no tooth to be seen, so it shows the mean.
 */
function inkUnder({ light, specks }: ToneTable, ink: Light): Float32Array {
  const under = new Float32Array(3 * specks.length);
  for (let t = 0; t < specks.length; t++) {
    const covered = 1 - specks[t]! / 256;
    for (let c = 0; c < 3; c++) {
      const onBlack = light[6 * t + 3 + c]! + (light[6 * t + c]! - light[6 * t + 3 + c]!) * covered;
      under[3 * t + c] = Math.min(LIGHT_STEPS, ink[c]! + Math.max(0, onBlack - BLACK[c]!));
    }
  }
  return under;
}

/** What printed black reflects by itself, in steps of light. */
const BLACK = lightOfLab(labOfHex(PRINTED_BLACK)).map((light) => LIGHT_STEPS * light);

function mixed(paper: Light, ink: Light, share: number): number {
  return packed(paper.map((value, c) => value + ((ink[c]! - value) * share) / 255) as unknown as Light);
}

function packed([red, green, blue]: Light): number {
  const [r, g, b] = [red, green, blue].map((value) => CODE_OF_LIGHT[Math.round(value)]!) as [number, number, number];
  return (0xff000000 | (b << 16) | (g << 8) | r) >>> 0;
}
