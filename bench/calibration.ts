import sharp from 'sharp';
import { deltaE2000, labOfHex } from '../src/core/colour/index.ts';
import {
  SINGLE_PATCHES,
  declaredFit,
  fitPencil,
  fittedOptics,
  paperById,
  predictedPatch,
  whiteBook,
} from '../src/core/laydown/index.ts';
import { greyOfRgba } from '../src/core/lineart/index.ts';
import { quietRun } from '../src/core/run/index.ts';
import { straightened } from '../src/core/straighten/index.ts';
import { CARD_MM, findCard, layOutCard, readCard } from '../src/core/swatch-card/index.ts';
import { seededRandom } from '../src/core/random/index.ts';
import { demoPencils } from '../src/demo/index.ts';
import { simulatedCamera, swatchCard } from '../src/simulated-devices/index.ts';
import { layOverlay, made, madePaper, readPatch } from '../src/simulated-devices/maker/index.ts';
import { printTable } from './measure.ts';

const WHITE = 'white-book';

/** How well single pencils are fitted that the model laid itself, and how well photographed cards are read. */
export async function benchCalibration(): Promise<void> {
  await fittingOwn();
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
      const truth = {
        laydown: 0.75 + 0.6 * random(),
        scatter: 0.6 + 1.5 * random(),
        fills: 1,
        masstone: labOfHex(colour),
      };
      const declared = { masstone: truth.masstone, type, opacity: opacity ?? undefined };
      const optics = fittedOptics(declared, truth, whiteBook, found);
      const patches = [...SINGLE_PATCHES.map((patch) => [patch, 'paper'] as const), ['firm', 'bar'] as const];
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
        pencils: count,
        lamp: quality,
        found: quad ? 'yes' : 'no',
        patches: read.length,
        'off, median deltaE': sorted[sorted.length >> 1],
        'off, nine of ten': sorted[Math.floor(0.9 * (sorted.length - 1))],
        'doubted though well laid': read.filter(({ doubt }) => doubt).length,
        ms,
      });
    }
  }
  printTable('Filled swatch cards, photographed and read', rows);
}

function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[values.length >> 1];
}
