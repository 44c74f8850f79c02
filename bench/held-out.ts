import { type Lab, deltaE2000, labOfHex } from '../src/core/colour/index.ts';
import {
  type CardFit,
  LADDER_PATCHES,
  type OverlayReading,
  PATCH_PASSES,
  type Paper,
  type Patch,
  type PencilOptics,
  type Pressure,
  type ReadPencil,
  bareGround,
  carriedFit,
  fitCard,
  fittedOptics,
  fittedPaper,
  layPasses,
  paperById,
  pencilOptics,
  typicalPencil,
} from '../src/core/laydown/index.ts';
import { seededRandom } from '../src/core/random/index.ts';
import { type DemoPencil, demoPencils } from '../src/demo/index.ts';
import { readPatch } from '../src/simulated-devices/maker/index.ts';
import { type Label, MAKERS, type Maker } from './makers/index.ts';
import { printTable } from './measure.ts';

/** Every so manieth demo pencil is on the card; so many of them are laid over themselves. */
const EVERY = 8;
const LADDERS = 4;
/** How far a reading strays, CIEDE2000 about. */
const NOISE = 0.22;
/** Stacks of each kind that are foretold. */
const STACKS = 200;

/** What is foretold and was on no card: passes of pencils drawn at random. */
const KINDS: readonly { name: string; pressures: readonly Pressure[] | 'any two' }[] = [
  { name: 'two layers', pressures: 'any two' },
  { name: 'four light', pressures: ['light', 'light', 'light', 'light'] },
  { name: 'six light', pressures: ['light', 'light', 'light', 'light', 'light', 'light'] },
  { name: 'burnished', pressures: ['medium', 'medium', 'medium', 'burnish'] },
];
const PAIRS: readonly (readonly Pressure[])[] = [
  ['light', 'light'],
  ['medium', 'light'],
  ['medium', 'medium'],
  ['firm', 'medium'],
  ['firm', 'firm'],
];

const labelOf = ({ colour, type, opacity }: DemoPencil): Label => ({
  colour: labOfHex(colour),
  type,
  opacity: opacity ?? { wax: 0.6, oil: 0.2, pastel: 0.78 }[type] ?? 0.38,
});
const declaredOf = ({ colour, type, opacity }: DemoPencil): ReadPencil['declared'] => ({
  masstone: labOfHex(colour),
  type,
  opacity: opacity ?? undefined,
});

/** How far what a fit foretells lies from what three makers lay that share nothing with the model. */
export async function benchHeldOut(): Promise<void> {
  const [own, another] = [0, 3].map((first) => demoPencils().filter((_, i) => i % EVERY === first));
  const rows = [];
  const found = [];
  for (const maker of MAKERS) {
    for (const { paperId, how, pencils, ladders } of [
      { paperId: 'white-book', how: 'declared', pencils: own, ladders: null },
      { paperId: 'white-book', how: 'fitted, no ladders', pencils: own, ladders: 0 },
      { paperId: 'white-book', how: 'fitted', pencils: own, ladders: LADDERS },
      { paperId: 'cream-sheet', how: 'declared', pencils: own, ladders: null },
      { paperId: 'cream-sheet', how: 'fitted', pencils: own, ladders: LADDERS },
      // Nothing of the model was chosen by these pencils.
      { paperId: 'white-book', how: 'other pencils, fitted', pencils: another, ladders: LADDERS },
    ]) {
      const paper = paperById(paperId);
      const began = performance.now();
      const card = ladders === null ? null : cardBy(maker, paper, pencils, ladders);
      const fit = card && (await fitCard(paper, card.pencils, card.overlays));
      const seconds = (performance.now() - began) / 1000;
      const optics = pencils.map((pencil, i) => opticsOf(pencil, fit?.pencils[i] ?? null, paper, fit));
      const on = fit ? fittedPaper(paper, fit.paper) : paper;
      rows.push({
        maker: maker.id,
        paper: paperId,
        how,
        ...Object.fromEntries(KINDS.map((kind) => [kind.name, median(off(maker, pencils, optics, on, paper, kind))])),
        seconds,
      });
      if (fit && ladders === LADDERS && pencils === own) found.push(numbersOf(maker, paperId, fit));
    }
  }
  printTable('Layers that were on no card, foretold (CIEDE2000, median)', rows);
  printTable('What was found of paper and hand', found);
  await benchBeyond(own);
}

/** What a fit says of another paper, and of pencils that were not on its card. */
async function benchBeyond(own: readonly DemoPencil[]): Promise<void> {
  const rows = [];
  const others = demoPencils().filter((_, i) => i % EVERY === 2);
  for (const maker of MAKERS) {
    for (const [from, to] of [
      ['white-book', 'cream-sheet'],
      ['white-book', 'toothed-white'],
    ]) {
      const [paper, other] = [paperById(from), paperById(to)];
      const card = cardBy(maker, paper, own, LADDERS);
      const fit = await fitCard(paper, card.pencils, card.overlays);
      const there = fittedPaper(other, carriedFit(fit.paper, paper, other));
      const optics = own.map((pencil, i) => opticsOf(pencil, fit.pencils[i], paper, fit));
      const declared = own.map((pencil) => pencilOptics(declaredOf(pencil)));
      const typical = others.map((pencil) => {
        const fitted = own.flatMap(({ type }, i) => (fit.pencils[i] ? [{ type, fit: fit.pencils[i] }] : []));
        const masstoneOn = fittedPaper(paper, fit.paper);
        return pencilOptics({
          ...declaredOf(pencil),
          ...typicalPencil(fitted, pencil.type),
          slope: fit.paper.slope,
          tinted: fit.paper.tinted,
          masstoneOn,
        });
      });
      const sums = (some: readonly DemoPencil[], how: readonly PencilOptics[], on: Paper, made: Paper) =>
        Object.fromEntries(KINDS.map((kind) => [kind.name, median(off(maker, some, how, on, made, kind))]));
      rows.push({ maker: maker.id, what: `${to}, as declared`, ...sums(own, declared, other, other) });
      rows.push({ maker: maker.id, what: `${to}, carried from ${from}`, ...sums(own, optics, there, other) });
      if (to !== 'cream-sheet') continue;
      const here = fittedPaper(paper, fit.paper);
      const plain = others.map((pencil) => pencilOptics(declaredOf(pencil)));
      rows.push({
        maker: maker.id,
        what: 'pencils not on the card, as declared',
        ...sums(others, plain, paper, paper),
      });
      rows.push({ maker: maker.id, what: 'the same, typical of their kind', ...sums(others, typical, here, paper) });
    }
  }
  printTable('Papers and pencils that a fit did not see (CIEDE2000, median)', rows);
}

function opticsOf(
  pencil: DemoPencil,
  own: CardFit['pencils'][number],
  paper: Paper,
  fit: CardFit | null,
): PencilOptics {
  return fit && own ? fittedOptics(declaredOf(pencil), own, paper, fit.paper) : pencilOptics(declaredOf(pencil));
}

/** A card as a maker fills it in, read with noise. */
function cardBy(
  maker: Maker,
  paper: Paper,
  own: readonly DemoPencil[],
  ladders: number,
): { pencils: ReadPencil[]; overlays: OverlayReading[] } {
  const random = seededRandom(7);
  const read = (lab: Lab) => readPatch(lab, NOISE, random);
  const laid = (pencils: readonly DemoPencil[], pressures: readonly Pressure[], on: 'paper' | 'bar' = 'paper') =>
    maker.lay(
      pressures.map((pressure, k) => ({ pencil: labelOf(pencils[k % pencils.length]), pressure })),
      paper,
      on,
    );
  const plain: readonly Patch[] = ['light', 'medium', 'firm', 'full'];
  const every = Math.max(1, Math.floor(own.length / Math.max(1, ladders)));
  const pencils = own.map((pencil, i): ReadPencil => {
    const over = ladders > 0 && i % every === every >> 1 ? LADDER_PATCHES : [];
    return {
      declared: declaredOf(pencil),
      readings: [
        ...[...plain, ...over].map((patch) => ({
          patch,
          on: 'paper' as const,
          lab: read(laid([pencil], PATCH_PASSES[patch])),
        })),
        { patch: 'firm' as const, on: 'bar' as const, lab: read(laid([pencil], ['firm'], 'bar')) },
      ],
    };
  });
  const overlays = own.map((pencil, i) => {
    const above = (i + 1) % own.length;
    return { below: i, above, lab: read(laid([pencil, own[above]], ['medium', 'medium'])) };
  });
  return { pencils, overlays };
}

/** How far stacks of one kind, drawn at random, lie from what the maker lays. */
function off(
  maker: Maker,
  own: readonly DemoPencil[],
  optics: readonly PencilOptics[],
  on: Paper,
  paper: Paper,
  { pressures }: (typeof KINDS)[number],
): number[] {
  const random = seededRandom(19);
  const ground = bareGround(on);
  return Array.from({ length: STACKS }, (_, k) => {
    const pressed = pressures === 'any two' ? PAIRS[k % PAIRS.length] : pressures;
    const drawn = pressed.map(() => Math.floor(own.length * random()));
    const { lab } = layPasses(
      ground,
      pressed.map((pressure, i) => ({ pencil: optics[drawn[i]], pressure })),
    );
    const made = maker.lay(
      pressed.map((pressure, i) => ({ pencil: labelOf(own[drawn[i]]), pressure })),
      paper,
      'paper',
    );
    return deltaE2000(lab, made);
  });
}

function numbersOf(maker: Maker, paper: string, { paper: fit, pencils }: CardFit) {
  const apart = pencils.flatMap((pencil) => (pencil ? [pencil.apart] : []));
  const { rough, stray, tooth, spread, crush, yuleNielsen, hand, slope, tinted, atBound } = fit;
  const { light = 1, medium = 1, firm = 1 } = hand;
  return {
    maker: maker.id,
    paper,
    rough,
    stray,
    tooth,
    spread,
    crush,
    light,
    medium,
    firm,
    slope,
    tinted,
    n: yuleNielsen,
    'at a bound': atBound.join(', ') || 'none',
    'left over': median(apart),
  };
}

function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[values.length >> 1];
}
