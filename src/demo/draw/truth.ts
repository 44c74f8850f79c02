import { type DemoPage, type TrueForm, markOf } from '../pages/index.ts';
import { type Drawing } from './kit/index.ts';
import { type Raster, rasterise } from './rasterise.ts';

/** One region as it was drawn. */
export interface TrueRegion {
  /** A point well inside it, mm. */
  at: { x: number; y: number };
  areaMm2: number;
  /** Whether its outline is closed in print; a region beside a deliberate gap is not. */
  closed: boolean;
}

/** What is true of a sheet because it was drawn so: known to tests and to the finished demo, never to the analysis. */
export interface Truth {
  title: string;
  widthMm: number;
  heightMm: number;
  paper: string;
  printed: 'black' | 'grey';
  regions: number;
  /** Back to front. */
  things: {
    name: string;
    /** 0 is farthest. */
    depth: number;
    form: TrueForm;
    focus: boolean;
    natural: string | null;
    regions: TrueRegion[];
  }[];
  /** Where a printed line has a break, and how wide, mm. */
  gaps: { at: { x: number; y: number }; mm: number }[];
}

/** The regions of a sheet as pixels: 0 is line, margin and flecks; region i of `regions` has label i + 1. */
export interface TrueMap {
  width: number;
  height: number;
  pixelsPerMm: number;
  labels: Uint16Array;
  regions: (TrueRegion & { thing: string })[];
}

/** White smaller than this, or nowhere as wide, is a fleck that no pencil gets into, not a region: mm2 and mm. */
const LEAST_MM2 = 0.4;
const LEAST_WIDTH_MM = 0.5;
const PIXELS_PER_MM = 14;

/** The truth file of a sheet. */
export async function truthOf(page: DemoPage, drawing: Drawing): Promise<Truth> {
  const { regions } = await trueRegions(page, drawing, PIXELS_PER_MM);
  return {
    title: page.title,
    widthMm: page.widthMm,
    heightMm: page.heightMm,
    paper: page.paper,
    printed: page.printed,
    regions: regions.length,
    things: page.things.map(({ name, form, focus = false, natural = null }, depth) => ({
      name,
      depth,
      form,
      focus,
      natural,
      regions: regions.filter(({ thing }) => thing === name).map(({ at, areaMm2, closed }) => ({ at, areaMm2, closed })),
    })),
    gaps: drawing.gaps.map(({ at, mm }) => ({ at: { x: rounded(at[0]), y: rounded(at[1]) }, mm })),
  };
}

/**
 * The regions of a sheet by flooding the drawing as the artist meant it, without gaps. Each belongs to the thing that
 * the drawing's key shows at a point well inside it.
 */
export async function trueRegions(page: DemoPage, drawing: Drawing, pixelsPerMm: number): Promise<TrueMap> {
  const width = Math.round(page.widthMm * pixelsPerMm);
  const whole = await rasterise(drawing.toSvg(page.title, { whole: true }), width);
  const printed = await rasterise(drawing.toSvg(page.title), width);
  const key = await rasterise(
    drawing.toKeySvg((drawn) => markOf(page, drawn)),
    width,
    { hard: true },
  );
  const { labels, count } = flood(whole);
  const depth = depthInside(labels, whole.width);
  const area = new Uint32Array(count + 1);
  const pole = new Int32Array(count + 1).fill(-1);
  for (let i = 0; i < labels.length; i++) {
    const label = labels[i];
    area[label]++;
    if (pole[label] < 0 || depth[i] > depth[pole[label]]) pole[label] = i;
  }
  const margin = labels[0];
  const leaks = leaking(labels, count, flood(printed).labels);
  const names = new Map(page.things.map(({ name }) => [markOf(page, name.toLowerCase()), name]));
  const kept = new Uint16Array(count + 1);
  const regions: TrueMap['regions'] = [];
  for (let label = 1; label <= count; label++) {
    const areaMm2 = area[label] / pixelsPerMm ** 2;
    const i = pole[label];
    const widthMm = (2 * depth[i] - 1) / pixelsPerMm;
    if (label === margin || areaMm2 < LEAST_MM2 || widthMm < LEAST_WIDTH_MM) continue;
    const mark = '#' + Buffer.from(key.data.subarray(3 * i, 3 * i + 3)).toString('hex');
    regions.push({
      at: {
        x: rounded(((i % whole.width) + 0.5) / pixelsPerMm),
        y: rounded((Math.floor(i / whole.width) + 0.5) / pixelsPerMm),
      },
      areaMm2: rounded(areaMm2),
      closed: !leaks[label],
      thing: names.get(mark) ?? '',
    });
    kept[label] = regions.length;
  }
  return {
    width: whole.width,
    height: whole.height,
    pixelsPerMm,
    labels: Uint16Array.from(labels, (l) => kept[l]),
    regions,
  };
}

function rounded(value: number): number {
  return Math.round(value * 100) / 100;
}

/** Connected white areas (4-connected), by plain flooding; 0 is ink. */
function flood({ width, height, data }: Raster): { labels: Int32Array; count: number } {
  const labels = new Int32Array(width * height);
  // Halfway between the paper and the darkest line, so that grey print counts as line.
  let darkest = 255;
  for (let i = 0; i < data.length; i += 3) darkest = Math.min(darkest, data[i]);
  const white = (i: number) => data[3 * i] > (255 + darkest) / 2;
  const stack: number[] = [];
  let count = 0;
  for (let from = 0; from < labels.length; from++) {
    if (labels[from] || !white(from)) continue;
    count++;
    labels[from] = count;
    stack.push(from);
    for (let i = stack.pop(); i !== undefined; i = stack.pop()) {
      const x = i % width;
      for (const j of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width]) {
        if (j < 0 || j >= labels.length || labels[j] || !white(j)) continue;
        labels[j] = count;
        stack.push(j);
      }
    }
  }
  return { labels, count };
}

/** Steps (rook's and bishop's) to the nearest pixel of another label. */
function depthInside(labels: Int32Array, width: number): Uint16Array {
  const depth = new Uint16Array(labels.length);
  const look = (i: number, ...offsets: number[]) => {
    let least = 65_535;
    for (const o of offsets) {
      const j = i + o;
      least = Math.min(least, j >= 0 && j < labels.length && labels[j] === labels[i] ? depth[j] + 1 : 1);
    }
    return least;
  };
  const inner = (i: number) => i % width > 0 && i % width < width - 1 && i >= width && i < labels.length - width;
  for (let i = 0; i < labels.length; i++) if (labels[i] && inner(i)) depth[i] = look(i, -1, -width - 1, -width, -width + 1);
  for (let i = labels.length - 1; i >= 0; i--) if (depth[i]) depth[i] = Math.min(depth[i], look(i, 1, width - 1, width, width + 1));
  return depth;
}

/** Which regions run into another one, or into a margin, where the print has gaps. */
function leaking(labels: Int32Array, count: number, printed: Int32Array): Uint8Array {
  const first = new Map<number, number>();
  const leaks = new Uint8Array(count + 1);
  for (let i = 0; i < labels.length; i++) {
    if (!labels[i] || !printed[i]) continue;
    const before = first.get(printed[i]);
    if (before === undefined) first.set(printed[i], labels[i]);
    else if (before !== labels[i]) leaks[before] = leaks[labels[i]] = 1;
  }
  return leaks;
}
