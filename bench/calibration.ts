import sharp from 'sharp';
import { type Lab, deltaE2000, labOfHex } from '../src/core/colour/index.ts';
import {
  type OverlayReading,
  type Paper,
  type PencilOptics,
  type ReadPencil,
  PATCH_PASSES,
  bareGround,
  carriedFit,
  declaredFit,
  fitCard,
  fitPencil,
  fittedOptics,
  fittedPaper,
  layPasses,
  paperById,
  pencilOptics,
  predictedPatch,
  typicalPencil,
  whiteBook,
} from '../src/core/laydown/index.ts';
import { greyOfRgba } from '../src/core/lineart/index.ts';
import { quietRun } from '../src/core/run/index.ts';
import { straightened } from '../src/core/straighten/index.ts';
import { CARD_MM, findCard, layOutCard, readCard } from '../src/core/swatch-card/index.ts';
import { seededRandom } from '../src/core/random/index.ts';
import { type DemoPencil, demoPencils } from '../src/demo/index.ts';
import { simulatedCamera, swatchCard } from '../src/demo/devices/index.ts';
import { layOverlay, layPatch, made, madePaper, readPatch } from '../src/demo/maker/index.ts';
import { printTable } from './measure.ts';

const PATCHES = ['light', 'medium', 'firm', 'full'] as const;
/** Pressures of overlays that are foretold. */
const OVERLAYS = [
  ['light', 'light'],
  ['medium', 'light'],
  ['medium', 'medium'],
  ['firm', 'medium'],
  ['firm', 'firm'],
] as const;
const NOISES = [0, 0.22, 1];
const [WHITE, CREAM] = ['white-book', 'cream-sheet'];

/** How well swatches are fitted: laid by the model itself, by the hidden maker, and what a fit says beyond its card. */
export async function benchCalibration(): Promise<void> {
  await fittingOwn();
  for (const paper of [WHITE, CREAM]) await fittingMaker(paper);
  await beyondCard();
  await photographedCards();
}

/** Pencils laid by the model itself and read with noise: how well laydown and scattering are found again. */
async function fittingOwn(): Promise<void> {
  const found = declaredFit(whiteBook);
  const own = demoPencils().filter(({ colour }, i) => i % 6 === 0 && labOfHex(colour)[0] < 85);
  const rows = [];
  for (const noise of [0, 0.5, 1, 2]) {
    const random = seededRandom(11);
    const [off, apart]: [number[], number[]] = [[], []];
    let ms = 0;
    for (const { colour, type, opacity } of own) {
      const truth = { laydown: 0.75 + 0.6 * random(), scatter: 0.6 + 1.5 * random(), masstone: labOfHex(colour) };
      const declared = { masstone: truth.masstone, type, opacity: opacity ?? undefined };
      const optics = fittedOptics(declared, truth, whiteBook, found);
      const patches = [...PATCHES.map((patch) => [patch, 'paper'] as const), ['firm', 'bar'] as const];
      const readings = patches.map(([patch, on]) => {
        const lab = predictedPatch(optics, whiteBook, found, { patch, on });
        return { patch, on, lab: readPatch(lab, noise / Math.sqrt(3), random) };
      });
      const start = performance.now();
      const fit = fitPencil(whiteBook, found, { declared, readings });
      ms += performance.now() - start;
      off.push(Math.abs(fit.laydown / truth.laydown - 1));
      apart.push(fit.apart);
    }
    rows.push({
      'reading noise, deltaE': noise,
      pencils: own.length,
      'laydown off, median': `${(100 * median(off)).toFixed(1)}%`,
      'left over, median': median(apart),
      'ms a pencil': ms / own.length,
    });
  }
  printTable('Single pencils laid by the model itself and fitted again', rows);
}

/** The hidden maker's cards fitted, and overlays that were not on them foretold. */
async function fittingMaker(paperId: string): Promise<void> {
  const paper = paperById(paperId);
  const own = demoPencils().filter((_, i) => i % 5 === 0);
  const rows = [];
  for (const noise of NOISES) {
    const random = seededRandom(7);
    const { pencils, overlays } = cardOf(own, paperId, (lab) => readPatch(lab, noise / Math.sqrt(3), random));
    for (const [how, withOverlays] of [
      ['declared', null],
      ['fitted, patches only', false],
      ['fitted, with a ring of overlays', true],
    ] as const) {
      const start = performance.now();
      const fit = withOverlays === null ? null : await fitCard(paper, pencils, withOverlays ? overlays : []);
      const ms = performance.now() - start;
      const optics = pencils.map(({ declared }, i) =>
        fit ? fittedOptics(declared, fit.pencils[i]!, paper, fit.paper) : pencilOptics(declared),
      );
      const off = overlaysOff(own, optics, fit ? fittedPaper(paper, fit.paper) : paper, paperId, onRing(own.length));
      rows.push({
        'reading noise, deltaE': noise,
        how,
        ...Object.fromEntries(OVERLAYS.map((pair, k) => [pair.join(' + '), median(off[k])])),
        'all, median': median(off.flat()),
        seconds: ms / 1000,
      });
    }
  }
  printTable(`Overlays of ${own.length} demo pencils that were not on the card, on ${paper.name} (deltaE)`, rows);
}

/**
 * What a fit says of pencils and papers that it did not see: half of the pencils are fitted on one paper; the others are
 * foretold there as typical of their kind, and those fitted on another paper.
 */
async function beyondCard(): Promise<void> {
  const all = demoPencils().filter((_, i) => i % 4 === 0);
  const [own, others] = [0, 1].map((odd) => all.filter((_, i) => i % 2 === odd));
  const rows = [];
  for (const [from, to] of [
    [WHITE, CREAM],
    [CREAM, WHITE],
  ]) {
    const [paper, other] = [paperById(from), paperById(to)];
    const { pencils, overlays } = cardOf(own, from, (lab) => lab);
    const fit = await fitCard(paper, pencils, overlays);
    const fitted = own.map(({ type }, i) => ({ type, fit: fit.pencils[i]! }));
    const here = fittedPaper(paper, fit.paper);
    const asDeclared = (some: readonly DemoPencil[]) => some.map((pencil) => pencilOptics(declaredOf(pencil)));
    const typical = others.map((pencil) =>
      pencilOptics({
        ...{ ...declaredOf(pencil), ...typicalPencil(fitted, pencil.type), slope: fit.paper.slope, masstoneOn: here },
      }),
    );
    const carried = own.map((pencil, i) => fittedOptics(declaredOf(pencil), fit.pencils[i]!, paper, fit.paper));
    const there = fittedPaper(other, carriedFit(fit.paper, paper, other));
    for (const [how, some, optics, on, madeOn] of [
      ['pencils not fitted, as declared', others, asDeclared(others), paper, from],
      ['the same on the fitted paper', others, asDeclared(others), here, from],
      ['the same as typical of their kind', others, typical, here, from],
      ['another paper, as declared', own, asDeclared(own), other, to],
      ['another paper, carried over', own, carried, there, to],
    ] as const) {
      rows.push({
        ...{ 'fitted on': paper.name, how },
        'single passes': median(patchesOff(some, optics, on, madeOn)),
        overlays: median(overlaysOff(some, optics, on, madeOn).flat()),
      });
    }
  }
  printTable('Pencils and papers that a fit did not see (deltaE, median)', rows);
}

/** Filled cards photographed under three lamps: whether they are found, how far off the patches are read, how long it takes. */
async function photographedCards(): Promise<void> {
  const rows = [];
  for (const [first, count] of [
    [0, 18],
    [80, 12],
    [140, 4],
  ]) {
    const own = demoPencils().slice(first, first + count);
    const name = { card: 9, page: 0 };
    for (const quality of ['good', 'middling', 'bad'] as const) {
      const look = () => swatchCard(own, WHITE, name);
      const camera = simulatedCamera(async () => [{ id: 'card', title: 'Card', says: '', look }]);
      const { bytes } = await camera.shoot({ subject: 'card', quality, seed: 3 }, quietRun);
      const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
      const photo = { width: info.width, height: info.height, data: new Uint8ClampedArray(data) };
      const start = performance.now();
      const quad = findCard(greyOfRgba(photo));
      const flat = quad && (await straightened(photo, quad, { width: 6 * CARD_MM.width, height: 6 * CARD_MM.height }));
      const read = flat ? readCard(flat, layOutCard(count, name), paperById(WHITE)) : [];
      const ms = performance.now() - start;
      const off = read.map(({ row, over, patch, on, lab }) => {
        const layers = [row, ...(over === null ? [] : [over])].map((i) => ({ pencil: made(own[i]), patch }));
        return deltaE2000(lab, layOverlay(layers, madePaper(WHITE), on));
      });
      const sorted = [...off].sort((a, b) => a - b);
      rows.push({
        ...{ pencils: count, lamp: quality, found: quad ? 'yes' : 'no', patches: read.length },
        'off, median deltaE': sorted[sorted.length >> 1],
        'off, nine of ten': sorted[Math.floor(0.9 * (sorted.length - 1))],
        'doubted though well laid': read.filter(({ doubt }) => doubt).length,
        ms,
      });
    }
  }
  printTable('Filled swatch cards, photographed and read', rows);
}

function declaredOf({ colour, type, opacity }: DemoPencil): ReadPencil['declared'] {
  return { masstone: labOfHex(colour), type, opacity: opacity ?? undefined };
}

/** A swatch card by the hidden maker: every patch of each pencil, and a medium patch of the next over its medium one. */
function cardOf(
  own: readonly DemoPencil[],
  paperId: string,
  read: (lab: Lab) => Lab,
): { pencils: ReadPencil[]; overlays: OverlayReading[] } {
  const maker = madePaper(paperId);
  const makers = own.map(made);
  const pencils = own.map((pencil, i) => ({
    declared: declaredOf(pencil),
    readings: [
      ...PATCHES.map((patch) => ({
        ...{ patch, on: 'paper' as const, lab: read(layPatch(makers[i], maker, patch, 'paper')) },
      })),
      { patch: 'firm' as const, on: 'bar' as const, lab: read(layPatch(makers[i], maker, 'firm', 'bar')) },
    ],
  }));
  const next = onRing(own.length);
  const overlays = own.map((_, i) => {
    const layers = [i, next(i)].map((k) => ({ pencil: makers[k], patch: 'medium' as const }));
    return { below: i, above: next(i), lab: read(layOverlay(layers, maker)) };
  });
  return { pencils, overlays };
}

function onRing(count: number): (i: number) => number {
  return (i) => (i + 1) % count;
}

/** How far every patch of some pencils lies from what the hidden maker lays, CIEDE2000. */
function patchesOff(own: readonly DemoPencil[], optics: readonly PencilOptics[], on: Paper, madeOn: string): number[] {
  const ground = bareGround(on);
  return own.flatMap((pencil, i) =>
    PATCHES.map((patch) => {
      const passes = PATCH_PASSES[patch].map((pressure) => ({ pencil: optics[i], pressure }));
      return deltaE2000(layPasses(ground, passes).lab, layPatch(made(pencil), madePaper(madeOn), patch, 'paper'));
    }),
  );
}

/** The same of overlays, for every pair of pressures; those on the card, if any, are left out. */
function overlaysOff(
  own: readonly DemoPencil[],
  optics: readonly PencilOptics[],
  on: Paper,
  madeOn: string,
  onCard: (i: number) => number = () => -1,
): number[][] {
  const [ground, maker] = [bareGround(on), madePaper(madeOn)];
  const makers = own.map(made);
  return OVERLAYS.map(([first, second]) => {
    const all: number[] = [];
    for (let below = 0; below < own.length; below++) {
      for (let above = 0; above < own.length; above += 3) {
        if (above === below || above === onCard(below)) continue;
        const passes = [
          { pencil: optics[below], pressure: first },
          { pencil: optics[above], pressure: second },
        ];
        const layers = [
          { pencil: makers[below], patch: first },
          { pencil: makers[above], patch: second },
        ];
        all.push(deltaE2000(layPasses(ground, passes).lab, layOverlay(layers, maker)));
      }
    }
    return all;
  });
}

function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[values.length >> 1];
}
