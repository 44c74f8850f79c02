import { existsSync, readFileSync } from 'node:fs';
import {
  LINEAR_LIGHTS,
  type Lab,
  type Rgb,
  gammaEncode,
  labOfHex,
  labOfRgb,
  rgbOfLab,
} from '../src/core/colour/index.ts';
import {
  PAPERS,
  type Paper,
  type Pressure,
  bareAfter,
  bareGround,
  layPasses,
  pencilOptics,
  whiteBook,
} from '../src/core/laydown/index.ts';
import { coarseInkShare, inkShareOf } from '../src/core/lineart/index.ts';
import { type PreviewSource, type ToneTable, renderPreview, toneTables } from '../src/core/preview/index.ts';
import { type Look, OpenPage, previewSource, renderSheet } from '../src/core/render/index.ts';
import { seededRandom } from '../src/core/random/index.ts';
import { type Layer } from '../src/core/recipe/index.ts';
import { type PageFields, FIELDS } from '../src/core/light/index.ts';
import { DEMO_PAGES, demoPencils } from '../src/demo/index.ts';
import { asTrayPencil } from '../src/pencils/index.ts';
import { onPaper } from '../src/core/tray/index.ts';
import { benchHeldOut } from './held-out.ts';
import { benchLookPalettes } from './look-palettes.ts';
import { printTable } from './measure.ts';
import {
  type BenchPencil,
  type OpenedPage,
  laidPlan,
  openDemoPage,
  openPicture,
  palettesFor,
  withPalette,
} from './planned.ts';
import { scanned } from './scanned.ts';

const STILL_LIFE = new URL('../../shared/pages/still-life.jpg', import.meta.url);

/** The page as it will look: printed lines, how paper fills, the grain, fits, palettes, and how long a picture takes. */
export async function benchLook(): Promise<void> {
  filling();
  grains();
  await lines();
  await benchLookPalettes();
  await benchHeldOut();
}

/** Bare paper after passes, and what bodies of the demo tray come to. */
function filling(): void {
  const counted: readonly (readonly [Pressure, number])[] = [
    ['light', 1],
    ['light', 4],
    ['light', 6],
    ['medium', 1],
    ['medium', 4],
    ['medium', 6],
    ['medium', 8],
    ['burnish', 1],
  ];
  printTable(
    'Bare paper left (share, the most of the four types)',
    PAPERS.map((paper) => ({
      paper: paper.id,
      ...Object.fromEntries(
        counted.map(([pressure, passes]) => [
          `${passes} ${pressure}`,
          Math.max(
            ...['wax', 'oil', 'pastel', 'water-soluble'].map((type) => bareAfter(paper, pressure, passes, type)),
          ),
        ]),
      ),
    })),
  );
  const bodies = onPaper(
    demoPencils().map((pencil) => asTrayPencil(pencil)),
    whiteBook,
  ).map(({ body }) => body);
  const sorted = (of: (lab: Lab) => number) => bodies.map(of).sort((a, b) => a - b);
  const chroma = sorted(([, a, b]) => Math.hypot(a, b));
  const value = sorted(([l]) => l);
  printTable('Bodies of the demo tray, medium and firm on smooth white', [
    {
      'C* median': chroma[chroma.length >> 1],
      'C* ninth tenth': chroma[Math.floor(0.9 * chroma.length)],
      'L* first tenth': value[Math.floor(0.1 * value.length)],
      'L* least': value[0],
    },
  ]);
}

const BLUE = pencilOptics({ masstone: labOfHex('#2b4fa3'), type: 'wax' });
/** A true grain is followed at so many points a feature. */
const FINE = 12;

/** How much L* varies from pixel to pixel, beside a grain made apart and averaged in light. */
function grains(): void {
  const rows = [];
  for (const paper of PAPERS) {
    const passes = (['light', 'light', 'light'] as const).map((pressure) => ({ pencil: BLUE, pressure }));
    const { specks } = layPasses(bareGround(paper), passes);
    for (const mm of [0.05, 0.1, 0.35, 1]) {
      const [dotted, stroked] = [false, true].map((strokes) => varies(paintedSquare(paper, strokes, 1 / mm)));
      const light = shadeOf(paper);
      const truth = varies(trueGrain(light, specks, paper.grainMm, mm));
      rows.push({
        paper: paper.id,
        'mm a pixel': mm,
        'true sd L*': truth.sd,
        'painted sd L*': dotted.sd,
        'painted of true': dotted.sd / truth.sd,
        'with strokes': stroked.sd / truth.sd,
        'mean L* off': dotted.mean - truth.mean,
      });
    }
  }
  printTable('Grain after three light layers of a blue, beside a true grain averaged in light', rows);
}

/** Three light layers of a blue all over a paper, with or without strokes to be seen. */
function tableOf(paper: Paper, strokes: boolean): ToneTable {
  const layer: Layer = {
    id: 'only',
    role: 'mid',
    pencil: 'blue',
    pressure: 'light',
    passes: 3,
    point: 'normal',
    stroke: 'small circles',
    fromWidthMm: 0,
    purpose: '',
    zone: { field: 'tone', from: 0, to: 1, softnessMm: 0, overMm: 6 },
  };
  const [, table] = toneTables([layer], new Map([['blue', BLUE]]), bareGround(paper));
  return strokes ? table : { ...table, drawn: 'round' };
}

function paintedSquare(paper: Paper, strokes: boolean, pixelsPerMm: number): Uint8ClampedArray {
  const side = 256;
  const fields = Object.fromEntries(
    FIELDS.map((field) => [field, new Uint8Array(side * side).fill(128)]),
  ) as PageFields;
  return renderPreview({
    width: side,
    height: side,
    pixelsPerMm,
    fields,
    labels: new Uint16Array(side * side).fill(1),
    paper: rgbOfLab(labOfHex(paper.tint)),
    grainMm: paper.grainMm,
    tables: [null, tableOf(paper, strokes)],
  }).data;
}

/** Light of film and speck as they are painted, 0..1 in each channel. */
function shadeOf(paper: Paper): { film: number[]; speck: number[] } {
  const { light } = tableOf(paper, false);
  const at = 6 * 32;
  return {
    film: [...light.subarray(at, at + 3)].map((value) => value / 8191),
    speck: [...light.subarray(at + 3, at + 6)].map((value) => value / 8191),
  };
}

/** Pixels of a grain that was made apart: smoothed noise, covered above a height, averaged in light pixel by pixel. */
function trueGrain(
  { film, speck }: { film: number[]; speck: number[] },
  specks: number,
  featureMm: number,
  mmPerPixel: number,
): Uint8ClampedArray {
  const random = seededRandom(5);
  // A bell whose autocorrelation is a feature wide at half of its height, as the sum of three boxes.
  const deviation = FINE / (2 * Math.sqrt(2 * Math.LN2) * Math.SQRT2);
  const reach = Math.max(1, Math.round((Math.sqrt(4 * deviation ** 2 + 1) - 1) / 2));
  // As wide as the boxes really make it.
  const feature = 2 * Math.sqrt(2 * Math.LN2) * Math.SQRT2 * Math.sqrt(((2 * reach + 1) ** 2 - 1) / 4);
  const perPixel = Math.max(1, Math.round((feature * mmPerPixel) / featureMm));
  const across = Math.max(20, Math.min(128, Math.floor(2600 / perPixel)));
  const size = across * perPixel;
  let field = Float32Array.from({ length: size * size }, random);
  for (let k = 0; k < 3; k++) field = boxed(boxed(field, size, reach, 1), size, reach, size);
  const edge = field.slice().sort()[Math.floor(specks * field.length)];
  const data = new Uint8ClampedArray(4 * across * across);
  for (let y = 0, p = 0; y < across; y++) {
    for (let x = 0; x < across; x++, p += 4) {
      let covered = 0;
      for (let v = 0; v < perPixel; v++) {
        for (let u = 0; u < perPixel; u++) {
          covered += Number(field[(y * perPixel + v) * size + x * perPixel + u] >= edge);
        }
      }
      const share = covered / perPixel ** 2;
      for (let c = 0; c < 3; c++) data[p + c] = gammaEncode(share * film[c] + (1 - share) * speck[c]);
      data[p + 3] = 255;
    }
  }
  return data;
}

function boxed(values: Float32Array, size: number, reach: number, step: number): Float32Array<ArrayBuffer> {
  const out = new Float32Array(values.length);
  const other = step === 1 ? size : 1;
  for (let line = 0; line < size; line++) {
    let sum = 0;
    const at = (k: number) => line * other + ((k + size) % size) * step;
    for (let k = -reach; k < reach; k++) sum += values[at(k)];
    for (let k = 0; k < size; k++) {
      sum += values[at(k + reach)];
      out[at(k)] = sum;
      sum -= values[at(k - reach)];
    }
  }
  return out;
}

function varies(data: Uint8ClampedArray): { sd: number; mean: number } {
  const values = [];
  const light = [0, 0, 0];
  for (let p = 0; p < data.length; p += 4) {
    values.push(labOfRgb([data[p], data[p + 1], data[p + 2]])[0]);
    for (let c = 0; c < 3; c++) light[c] += LINEAR_LIGHTS[data[p + c]];
  }
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const sd = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length);
  return { sd, mean: labOfRgb(light.map((sum) => gammaEncode(sum / values.length)) as unknown as Rgb)[0] };
}

/** Printed lines under whole plans: on the clean sheets, on made scans of them, and on a page that nobody here drew. */
async function lines(): Promise<void> {
  const tray = demoPencils().filter(({ whereabouts }) => whereabouts !== 'missing');
  const rows = [];
  const times = [];
  for (const { id } of DEMO_PAGES) {
    const page = await openDemoPage(id);
    const scan = await scanned(page.grey, page.map.pixelsPerMm);
    const [proposal] = await palettesFor(page, tray, { anchor: 60, scheme: 'split-complementary' });
    const plan = withPalette(page, proposal);
    for (const [how, grey] of [
      ['clean', page.grey],
      ['scan', scan],
    ] as const) {
      rows.push(...linesOf({ ...page, grey, ink: inkShareOf(grey) }, plan, tray, how));
    }
    times.push(timesOf(page, plan, tray));
  }
  if (existsSync(STILL_LIFE)) {
    const page = await openPicture('Still life', readFileSync(STILL_LIFE), 297, whiteBook.id);
    const [proposal] = await palettesFor(page, tray, { anchor: 60, scheme: 'split-complementary' });
    rows.push(...linesOf(page, withPalette(page, proposal), tray, 'scan'));
  }
  printTable(
    'Printed lines under a whole plan (L*; lines of the page alone beside the same pixels once coloured)',
    rows,
  );
  printTable('Pictures of a plan (s)', times);
}

function linesOf(page: OpenedPage, plan: OpenedPage['plan'], tray: readonly BenchPencil[], how: string) {
  const rows = [];
  for (const [size, step] of [
    ['1:1', 1],
    ['half', 2],
    ['page view', 4],
  ] as const) {
    const source = previewSource(new OpenPage(page.map), page.ink, laidPlan(page, plan, tray), { step });
    const bare: PreviewSource = { ...source, tables: [], ink: source.ink && { ...source.ink, tables: null } };
    const inkless: PreviewSource = { ...source, ink: null };
    rows.push({
      page: page.name,
      how,
      size,
      ...lineFacts(
        renderPreview(source).data,
        renderPreview(bare).data,
        renderPreview(inkless).data,
        source,
        page.ink,
        step,
      ),
    });
  }
  return rows;
}

/** What became of the lines: how much lighter their middles are, what lies beside them, how thick and how even they are. */
function lineFacts(
  coloured: Uint8ClampedArray,
  bare: Uint8ClampedArray,
  inkless: Uint8ClampedArray,
  { width, height, labels, tables, pixelsPerMm, paper }: PreviewSource,
  ink: OpenedPage['ink'],
  step: number,
) {
  const share = coarseInkShare(ink, step).share;
  const l = (data: Uint8ClampedArray, i: number) => labOfRgb([data[4 * i], data[4 * i + 1], data[4 * i + 2]])[0];
  const band = Math.max(1, Math.round(0.3 * pixelsPerMm));
  const [lift, beside, spreadBare, spreadColoured]: number[][] = [[], [], [], []];
  const paperLight = LINEAR_LIGHTS[Math.round(paper[1])];
  let [thickBare, thickColoured] = [0, 0];
  const random = seededRandom(3);
  for (let y = band; y < height - band; y++) {
    for (let x = band; x < width - band; x++) {
      const i = y * width + x;
      if ((tables[labels[i]] ?? null) === null || random() > 0.2) continue;
      // The middle of a line: no pixel across or down beside it is darker, and it is nearly full.
      const peak = share[i] > 150 && isMiddle(share, i, width);
      if (peak) {
        lift.push(l(coloured, i) - l(bare, i));
        const along = share[i - 1] >= share[i - width] ? 1 : width;
        spreadBare.push(Math.abs(l(bare, i) - l(bare, i + along)));
        spreadColoured.push(Math.abs(l(coloured, i) - l(coloured, i + along)));
      } else if (share[i] === 0 && near(share, i, width, band)) {
        beside.push(l(coloured, i) - l(inkless, i));
      }
      // How much of the pixel is line, from the light that it takes away.
      const [whole, left, full] = [inkless, coloured, ink.reflects].map((of) =>
        typeof of === 'number' ? paperLight * of : LINEAR_LIGHTS[of[4 * i + 1]],
      );
      if (share[i] > 0 && whole > 4 * full + 0.02) {
        thickBare += share[i] / 255;
        thickColoured += (whole - left) / (whole - full);
      }
    }
  }
  const mean = (values: readonly number[]) =>
    values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
  const sorted = beside.map(Math.abs).sort((a, b) => a - b);
  const lifts = [...lift].sort((a, b) => a - b);
  return {
    'middles lighter, mean': mean(lift),
    'nine of ten': lifts[Math.floor(0.9 * lifts.length)] ?? 0,
    'band beside, mean off': mean(beside),
    'most, 95%': sorted[Math.floor(0.95 * sorted.length)] ?? 0,
    'thick of bare': thickColoured / Math.max(1, thickBare),
    'along, bare': mean(spreadBare),
    'along, coloured': mean(spreadColoured),
  };
}

function isMiddle(share: Uint8Array, i: number, width: number): boolean {
  const level = share[i] >= share[i - 1] && share[i] >= share[i + 1];
  const upright = share[i] >= share[i - width] && share[i] >= share[i + width];
  return level && upright;
}

function near(share: Uint8Array, i: number, width: number, band: number): boolean {
  return (
    share[i - band] > 128 || share[i + band] > 128 || share[i - band * width] > 128 || share[i + band * width] > 128
  );
}

/** How long a picture takes once the page is open: its light, what is laid on it, and painting it. */
function timesOf(page: OpenedPage, plan: OpenedPage['plan'], tray: readonly BenchPencil[]) {
  const sheet = laidPlan(page, plan, tray);
  // Distances belong to the page, which is open already.
  void page.map.distance;
  const paint = (look: Look) => timed(() => renderSheet(new OpenPage(page.map), page.ink, sheet, look));
  const timed = (work: () => unknown) => {
    const began = performance.now();
    work();
    return (performance.now() - began) / 1000;
  };
  const { widthMm, heightMm } = page.plan.page;
  const whole = { left: 0, top: 0, widthMm, heightMm, perMm: 300 / 25.4 };
  return {
    page: page.name,
    'a first look': paint({ step: 4, first: true }),
    'as the desk shows it': paint({ step: 2 }),
    'a file at 300 dpi': paint({ step: 1, piece: whole }),
    megapixels: (page.plan.page.widthMm * page.plan.page.heightMm * (300 / 25.4) ** 2) / 1e6,
  };
}
