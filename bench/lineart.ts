import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import cvModule from '@techstark/opencv-js';
import { distanceOnRuns } from '../src/core/lineart/distance.ts';
import { PageIndex, findRegions } from '../src/core/lineart/index.ts';
import { findInk } from '../src/core/lineart/ink.ts';
import { findRuns, joinRuns } from '../src/core/lineart/runs.ts';
import { type Run } from '../src/core/run/index.ts';
import { type MadeUp, type MadeUpPage, badlyScanned, madeUpPage, scoreRegions } from './made-up/index.ts';
import { printTable, timed, timedInTurns } from './measure.ts';

/** A4 at 300 dpi. */
const A4 = { width: 2480, height: 3508, pixelsPerMm: 300 / 25.4 };
const SIZES = [800, 4300];
/** Pages that each row sums up. */
const SEEDS = [1, 2, 3];

interface Damage {
  name: string;
  wish?: Partial<MadeUp>;
  scanned?: boolean;
  closeGapMm?: number;
}

const DAMAGES: Damage[] = [
  { name: 'clean' },
  { name: 'gaps of 2 to 12 px, not closed', wish: { gaps: 0.05 }, closeGapMm: 0 },
  { name: 'gaps, closed where sure', wish: { gaps: 0.05 } },
  { name: 'bad scan', scanned: true },
  { name: 'gaps and bad scan', wish: { gaps: 0.05 }, scanned: true },
  { name: 'stipple and hatch', wish: { texture: 0.3 } },
  { name: 'grey outlines, bad scan', wish: { ink: 130 }, scanned: true },
];

/** From grey pixels to regions: how many are found on good and bad pages, how fast, and how much memory it takes. */
export async function benchLineart(): Promise<void> {
  for (const regions of SIZES) {
    const rows = [];
    for (const damage of DAMAGES) rows.push(await foundOn(regions, damage));
    printTable(`Regions found on ${SEEDS.length} made-up A4 pages of about ${regions} each at 300 dpi`, rows);
  }
  await benchSpeed(madeUpPage({ ...A4, seed: 1, regions: 4300, gaps: 0.05 }));
}

/** One row of the table: what is found on pages of one kind, all together. */
async function foundOn(regions: number, { name, wish, scanned, closeGapMm }: Damage) {
  const sum = { true: 0, found: 0, oneToOne: 0, large: 0, gaps: 0, leaks: 0, otherLeaks: 0, false: 0, asked: 0 };
  for (const seed of SEEDS) {
    const drawn = madeUpPage({ ...A4, seed, regions, ...wish });
    const page = scanned ? await badlyScanned(drawn, seed + 1) : drawn;
    const map = await findRegions(page.grey, { pixelsPerMm: A4.pixelsPerMm, closeGapMm });
    const score = scoreRegions(map, page);
    sum.true += page.count;
    sum.found += map.regions.length;
    sum.oneToOne += score.oneToOne / SEEDS.length;
    sum.large += score.oneToOneLarge / SEEDS.length;
    sum.gaps += page.gaps.length;
    sum.leaks += score.leaks;
    sum.otherLeaks += score.otherLeaks;
    sum.false += score.falseRegions;
    sum.asked += map.doubts.filter((doubt) => doubt.kind === 'gap' && !doubt.closed).length;
  }
  return {
    page: name,
    true: sum.true,
    found: sum.found,
    'one to one': percent(sum.oneToOne),
    'of radius 0.5 mm': percent(sum.large),
    gaps: sum.gaps,
    'leaks left': sum.leaks,
    'other leaks': sum.otherLeaks,
    false: sum.false,
    'false of true': `${((100 * sum.false) / sum.true).toFixed(2)}%`,
    'asked about': sum.asked,
  };
}

async function benchSpeed({ grey, pixelsPerMm }: MadeUpPage): Promise<void> {
  const stages: { stage: string; from: number }[] = [];
  const run: Run = {
    cancelled: () => false,
    now: () => performance.now(),
    progress: (_share, stage) => void stages.push({ stage, from: performance.now() }),
  };
  const whole = await timed(() => findRegions(grey, { pixelsPerMm }), 6);
  const { data } = await findRegions(grey, { pixelsPerMm }, run);
  const again = await timed(() => PageIndex.from(data), 6);
  printTable('Finding about 3,900 regions with gaps on A4 at 300 dpi (ms)', [
    ...stages
      .slice(0, -1)
      .map(({ stage, from }, i) => ({ stage, cold: '', warm: stages[i + 1].from - from, best: '' })),
    { stage: 'all', ...whole },
    { stage: 'taken up again from its bytes', ...again },
  ]);
  const { ours, theirs } = await besideOpenCv(grey);
  printTable('The same stages here and in OpenCV compiled to WASM, in turns (ms)', [
    { stages: 'ink by threshold, labels, exact distance', ...ours },
    { stages: 'OpenCV: threshold, connectedComponents, distanceTransform', ...theirs },
    { stages: 'ratio', cold: ours.cold / theirs.cold, warm: ours.warm / theirs.warm, best: ours.best / theirs.best },
  ]);
  printTable('Memory while finding, in a process of its own (MB over what it held before, the page among it)', [
    { what: 'most at once, as the system counted it', MB: mostMemory(grey, pixelsPerMm) },
  ]);
}

/** Both do the same work on the same page, one after the other, so that a busy machine slows both. */
async function besideOpenCv(grey: MadeUpPage['grey']) {
  const { width, height, data } = grey;
  // The module may be a promise of itself; once it is not, it must never be awaited, for it has a `then` of its own.
  const cv = cvModule instanceof Promise ? await cvModule : cvModule;
  if (!cv.Mat) await new Promise<void>((ready) => (cv.onRuntimeInitialized = () => ready()));
  const ours = async () => {
    const ink = findInk(grey);
    const runs = findRuns(ink, width, height, 0);
    const { of } = joinRuns(runs, 4);
    const labels = new Uint16Array(data.length);
    for (let y = 0; y < height; y++) {
      for (let r = runs.rowStart[y]; r < runs.rowStart[y + 1]; r++) {
        labels.fill(of[r], y * width + runs.from[r], y * width + runs.to[r] + 1);
      }
    }
    distanceOnRuns(runs, width);
  };
  const theirs = () => {
    const [source, white, labels, distance] = [
      new cv.Mat(height, width, cv.CV_8UC1),
      new cv.Mat(),
      new cv.Mat(),
      new cv.Mat(),
    ];
    source.data.set(data);
    cv.threshold(source, white, 0, 255, cv.THRESH_BINARY + cv.THRESH_OTSU);
    cv.connectedComponents(white, labels, 4, cv.CV_32S);
    cv.distanceTransform(white, distance, cv.DIST_L2, cv.DIST_MASK_PRECISE);
    for (const mat of [source, white, labels, distance]) mat.delete();
  };
  const [our, their] = await timedInTurns([ours, theirs], 12);
  return { ours: our, theirs: their };
}

function mostMemory({ width, height, data }: MadeUpPage['grey'], pixelsPerMm: number): number {
  const folder = mkdtempSync(join(tmpdir(), 'harmonie-bench-'));
  const file = join(folder, 'page.grey');
  writeFileSync(file, data);
  const script = fileURLToPath(new URL('lineart-memory.ts', import.meta.url));
  const sizes = [width, height, pixelsPerMm].map(String);
  const printed = execFileSync(process.execPath, ['--import', 'tsx', script, file, ...sizes], { encoding: 'utf8' });
  rmSync(folder, { recursive: true });
  return Number(printed);
}

function percent(share: number): string {
  return `${(100 * share).toFixed(1)}%`;
}
