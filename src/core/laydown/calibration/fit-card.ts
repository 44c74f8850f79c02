import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { type Lab, deltaE2000 } from '../../colour/index.ts';
import { type Run, checkpoints, quietRun } from '../../run/index.ts';
import { bareGround } from '../ground.ts';
import { layPasses } from '../lay-passes.ts';
import { type Paper } from '../papers/index.ts';
import { type PencilOptics } from '../optics.ts';
import { type PencilDeclaration, pencilOptics } from '../pencil-optics.ts';
import { errors } from './errors.ts';
import { SOUGHT, fittedPaper, paperFrom, sharedOf } from './paper-fit.ts';
import type { PaperFit, PatchReading, PencilFit } from '../schemas.ts';
import { SHARED_NUMBERS, type SharedNumber } from './shared-numbers.ts';
import { BAR, type OverlayReading, type ReadPencil } from './readings.ts';
import { LADDER_PATCHES, PATCH_PASSES } from './patches.ts';

export interface CardFit {
  paper: PaperFit;
  /** In the order of the pencils given; null for those without a full patch. */
  pencils: (PencilFit | null)[];
}

/** Found from so many pencils at most, spread over the card; the rest are fitted to the paper and hand so found. */
const MOST_TOGETHER = 24;
const STRETCHES = 3;
/**
 * The search starts from a hand as pressures are named, and from one that is so much of the way to a soft one: the error
 * has more than one valley. It goes on in rounds of so many steps, so that it can be told of and cancelled, until a round
 * leaves more than this share of the error.
 */
const STARTS_OF_ALL = [0, 0.5];
const ROUNDS = 8;
const STEPS = 4;
const SETTLED = 0.998;
/** A difference for the slope of an error, in every number that is sought. */
const NUDGE = 0.01;
const SHARED = SOUGHT.length;
/** What only layers over each other tell. */
const RELIEF: ReadonlySet<SharedNumber> = new Set(['rough', 'stray', 'tooth']);
/** What each pencil lays, scatters and fills, in logarithms: deviations without readings, and between which it is sought. */
const OWN_SOUGHT = [
  { sure: 0.4, least: -1.5, most: 1.5 },
  { sure: 2.5, least: -3, most: 5 },
  { sure: 0.5, least: -2.5, most: 2.5 },
];
const OWN = OWN_SOUGHT.length;
type OwnNumbers = [laydown: number, scatter: number, fills: number];
/** Pencils are sought from these logarithms on: the error has more than one valley. */
const OWN_STARTS = [
  [0, 1, 0],
  [0, 0, 0],
  [0, 2.4, 0],
  [-0.5, 0, 0],
  [-0.5, 2.4, 0],
];
/** A patch over the dark bar is smaller and harder to lay evenly. */
const BAR_WEIGHT = 0.7;
/** A reading this many times as far off as its pencil's others, and at least so far, is doubtful. */
const DOUBTFUL = { times: 2.5, least: 3 };
/**
 * Fits the layer model to a swatch card by Levenberg and Marquardt (D. Marquardt, 1963): how the paper takes pencil in
 * this hand, and how much each pencil lays, scatters and fills. Absorption is solved anew inside, from the full patch, so that
 * a misleading barrel or name cannot defeat the fit. Overlays tell whether a second layer falls where the first did, light
 * patches laid twice, four and eight times how paper fills and tooth is used up.
 * @param paper what the card is made of
 * @param overlays some patches laid over others; without these and light patches laid over themselves, the paper's
 *   roughness and stray contact stay as they are declared
 * @throws RangeError when no pencil has a full patch on paper and two more patches
 * @throws CancelledError when the run is cancelled
 */
export async function fitCard(
  paper: Paper,
  pencils: readonly ReadPencil[],
  overlays: readonly OverlayReading[] = [],
  run: Run = quietRun,
): Promise<CardFit> {
  const checkpoint = checkpoints(run);
  const usable = pencils.flatMap((pencil, i) => (isUsable(pencil) ? [i] : []));
  if (usable.length === 0) {
    throw new RangeError('No pencil has been read at full and at two more patches, so nothing can be fitted.');
  }
  const chosen = standingForAll(usable, pencils);
  const placeOf = new Map(chosen.map((i, place) => [i, place]));
  const inside = overlays.flatMap(({ below, above, lab }) => {
    const [b, a] = [placeOf.get(below), placeOf.get(above)];
    return b === undefined || a === undefined ? [] : [{ below: b, above: a, lab }];
  });
  const together = new Card(
    paper,
    chosen.map((i) => pencils[i]!),
    inside,
  );
  const laidOver = inside.length > 0 || chosen.some((i) => pencils[i]!.readings.some(isLadder));
  const ends: number[][] = [];
  for (const start of STARTS_OF_ALL) {
    let numbers = together.start(SOUGHT.map(({ soft }) => start * soft));
    let before = Infinity;
    for (let round = 0; round < ROUNDS; round++) {
      const share = (ends.length + round / ROUNDS) / STARTS_OF_ALL.length;
      await checkpoint(0.8 * share, 'finding how the paper takes pencil');
      numbers = together.better(numbers, STEPS, !laidOver);
      const now = together.misses(numbers);
      if (now > SETTLED * before) break;
      before = now;
    }
    ends.push(numbers);
  }
  const numbers = ends.sort((p, q) => together.misses(p) - together.misses(q))[0]!;
  const found = together.paperOf(numbers);
  const fits: (PencilFit | null)[] = [];
  for (const [i, pencil] of pencils.entries()) {
    await checkpoint(0.8 + (0.2 * i) / pencils.length, 'fitting each pencil');
    fits.push(isUsable(pencil) ? fitPencil(paper, found, pencil) : null);
  }
  return { paper: found, pencils: fits };
}

/**
 * The pencils that stand for all: those laid over themselves, and a few stretches of the card, spread over it, so that
 * neighbours whose overlay was read are chosen together.
 */
function standingForAll(usable: readonly number[], pencils: readonly ReadPencil[]): number[] {
  if (usable.length <= MOST_TOGETHER) return [...usable];
  const length = MOST_TOGETHER / STRETCHES;
  const apart = (usable.length - length) / (STRETCHES - 1);
  const inStretch = (i: number) => i - Math.round(apart * Math.floor(i / apart)) < length;
  return usable.filter((at, i) => inStretch(i) || pencils[at]!.readings.some(isLadder));
}

/**
 * Fits one pencil to its patches on a paper that is known already.
 * @param found how the paper takes pencil in this hand
 * @throws RangeError without a full patch on paper and two more patches
 */
export function fitPencil(paper: Paper, found: PaperFit, pencil: ReadPencil): PencilFit {
  if (!isUsable(pencil)) throw new RangeError('A pencil is fitted from its full patch and two more at least.');
  const card = new Card(paper, [pencil], []);
  const numbers = soughtAlone(card, sharedOf(paper, found));
  const [laydown, scatter, fills] = numbers.slice(SHARED).map(Math.exp) as OwnNumbers;
  const masstone = fullOf(pencil);
  const optics = fittedOptics(pencil.declared, { laydown, scatter, fills, masstone }, paper, found);
  const read = pencil.readings.filter((reading) => !isFull(reading));
  const off = read.map((reading) => deltaE2000(reading.lab, predictedPatch(optics, paper, found, reading)));
  const middle = [...off].sort((a, b) => a - b)[(off.length - 1) >> 1]!;
  return {
    laydown,
    scatter,
    fills,
    masstone,
    apart: Math.sqrt(off.reduce((sum, value) => sum + value * value, 0) / off.length),
    doubtful: read.filter((_, i) => off[i]! > DOUBTFUL.least && off[i]! > DOUBTFUL.times * middle),
  };
}

/** What a card of one pencil says of it on a paper that is known already: all numbers, those that all share first. */
function soughtAlone(card: Card, shared: readonly number[]): number[] {
  const tried = OWN_STARTS.map((start) => card.better([...shared, ...start], 3, true, true));
  return card.settled(tried.sort((p, q) => card.misses(p) - card.misses(q))[0]!);
}

/** What a fit says of a pencil, told as a pencil is declared: its full patch was laid on this paper, in this hand. */
export function fittedPencil(
  { laydown, scatter, fills, masstone }: Pick<PencilFit, 'laydown' | 'scatter' | 'fills' | 'masstone'>,
  paper: Paper,
  found: PaperFit,
): Omit<PencilDeclaration, 'type' | 'opacity'> {
  const { slope, tinted } = found;
  return { masstone, laydown, scatter, fills, slope, tinted, masstoneOn: fittedPaper(paper, found) };
}

/** A fitted pencil as the layer model uses it. */
export function fittedOptics(
  { type, opacity }: ReadPencil['declared'],
  fit: Pick<PencilFit, 'laydown' | 'scatter' | 'fills' | 'masstone'>,
  paper: Paper,
  found: PaperFit,
): PencilOptics {
  return pencilOptics({ type, opacity, ...fittedPencil(fit, paper, found) });
}

/** What the model says of a patch on a fitted paper. */
export function predictedPatch(
  pencil: PencilOptics,
  paper: Paper,
  found: PaperFit,
  { patch, on }: Pick<PatchReading, 'patch' | 'on'>,
): Lab {
  const whole = fittedPaper(paper, found);
  const ground = bareGround(on === 'bar' ? { ...whole, tint: BAR } : whole);
  return layPasses(
    ground,
    PATCH_PASSES[patch].map((pressure) => ({ pencil, pressure })),
  ).lab;
}

function isFull({ patch, on }: PatchReading): boolean {
  return patch === 'full' && on === 'paper';
}

function isLadder({ patch }: PatchReading): boolean {
  return (LADDER_PATCHES as readonly string[]).includes(patch);
}

function isUsable({ readings }: ReadPencil): boolean {
  return readings.some(isFull) && readings.length >= 3;
}

function fullOf({ readings }: ReadPencil): Lab {
  return readings.find(isFull)!.lab;
}

/** The numbers sought on one card, and how far off they are. */
class Card {
  private readonly paper: Paper;
  private readonly pencils: readonly ReadPencil[];
  private readonly overlays: readonly OverlayReading[];
  private readonly sizes: number[];

  constructor(paper: Paper, pencils: readonly ReadPencil[], overlays: readonly OverlayReading[]) {
    this.paper = paper;
    this.pencils = pencils;
    this.overlays = overlays;
    this.sizes = [
      ...pencils.map(({ readings }) => 3 * readings.filter((reading) => !isFull(reading)).length + OWN),
      ...overlays.map(() => 3),
      SHARED,
    ];
  }

  /** What is sought before anything is known; what all share can be started elsewhere. */
  start(shared: readonly number[] = SOUGHT.map(() => 0)): number[] {
    return [...shared, ...this.pencils.flatMap(() => OWN_STARTS[0]!)];
  }

  paperOf(numbers: readonly number[]): PaperFit {
    return paperFrom(this.paper, numbers.slice(0, SHARED));
  }

  /** Goes on from numbers by some steps; the paper's relief, or all that is shared, can be kept as it is. */
  better(numbers: number[], steps: number, keepRelief: boolean, keepShared = false): number[] {
    const total = this.sizes.reduce((sum, size) => sum + size, 0);
    const index = Array.from({ length: total }, (_, i) => i);
    const kept = (j: number) => j < SHARED && (keepShared || (keepRelief && RELIEF.has(SHARED_NUMBERS[j]!)));
    const limit = (end: 'least' | 'most', nudge: number) =>
      numbers.map((value, j) => {
        if (kept(j)) return value + nudge;
        return (j < SHARED ? SOUGHT[j]! : OWN_SOUGHT[(j - SHARED) % OWN]!)[end];
      });
    const { parameterValues } = levenbergMarquardt(
      { x: index, y: index.map(() => 0) },
      (at) => {
        const errors = this.blocks(at).flat();
        return (i) => errors[i]!;
      },
      {
        initialValues: numbers,
        jacobianFunction: (at) => this.slopes(at, kept),
        maxIterations: steps,
        damping: 0.01,
        minValues: limit('least', -1e-9),
        maxValues: limit('most', 1e-9),
        improvementThreshold: 1e-6,
        errorTolerance: 1e-7,
      },
    );
    return [...parameterValues];
  }

  /** A pencil's own numbers, gone on with until that hardly helps any more. */
  settled(numbers: number[]): number[] {
    let before = this.misses(numbers);
    for (let round = 0; round < 4; round++) {
      numbers = this.better(numbers, 2, true, true);
      const now = this.misses(numbers);
      if (now > 0.99 * before) break;
      before = now;
    }
    return numbers;
  }

  /** Sum of the squares of all errors. */
  misses(numbers: readonly number[]): number {
    return this.blocks(numbers)
      .flat()
      .reduce((sum, value) => sum + value * value, 0);
  }

  /** Errors of every pencil's patches, then of every overlay, then of what is shared. */
  private blocks(numbers: readonly number[]): number[][] {
    const optics = this.pencils.map((_, i) => this.opticsOf(numbers, i));
    return [
      ...this.pencils.map((_, i) => this.pencilErrors(numbers, i, optics[i]!)),
      ...this.overlays.map((overlay) =>
        this.overlayErrors(numbers, overlay, optics[overlay.below]!, optics[overlay.above]!),
      ),
      SOUGHT.map(({ sure }, j) => numbers[j]! / sure),
    ];
  }

  /** How each error changes with each number that is not kept. A pencil's own numbers touch only its patches and overlays. */
  private slopes(numbers: number[], kept: (j: number) => boolean): (i: number) => number[] {
    const before = this.blocks(numbers);
    const rows = before.flatMap((block) => block.map(() => new Array<number>(numbers.length).fill(0)));
    const startOf = this.sizes.map((_, i) => this.sizes.slice(0, i).reduce((sum, size) => sum + size, 0));
    const write = (block: number, j: number, after: readonly number[]) =>
      after.forEach((value, k) => (rows[startOf[block]! + k]![j] = (value - before[block]![k]!) / NUDGE));
    const nudged = (j: number) => numbers.map((value, k) => (k === j ? value + NUDGE : value));
    for (let j = 0; j < SHARED; j++) {
      if (!kept(j)) this.blocks(nudged(j)).forEach((after, block) => write(block, j, after));
    }
    const optics = this.overlays.length ? this.pencils.map((_, i) => this.opticsOf(numbers, i)) : [];
    for (let i = 0; i < this.pencils.length; i++) {
      for (let j = SHARED + OWN * i; j < SHARED + OWN * (i + 1); j++) {
        const at = nudged(j);
        const own = this.opticsOf(at, i);
        write(i, j, this.pencilErrors(at, i, own));
        this.overlays.forEach((overlay, k) => {
          if (overlay.below !== i && overlay.above !== i) return;
          const below = overlay.below === i ? own : optics[overlay.below]!;
          const above = overlay.above === i ? own : optics[overlay.above]!;
          write(this.pencils.length + k, j, this.overlayErrors(at, overlay, below, above));
        });
      }
    }
    return (i) => rows[i]!;
  }

  /** The numbers of one pencil. */
  private own(numbers: readonly number[], i: number): number[] {
    return numbers.slice(SHARED + OWN * i, SHARED + OWN * (i + 1));
  }

  private opticsOf(numbers: readonly number[], i: number): PencilOptics {
    const [laydown, scatter, fills] = this.own(numbers, i).map(Math.exp) as OwnNumbers;
    const masstone = fullOf(this.pencils[i]!);
    return fittedOptics(
      this.pencils[i]!.declared,
      { laydown, scatter, fills, masstone },
      this.paper,
      this.paperOf(numbers),
    );
  }

  private pencilErrors(numbers: readonly number[], i: number, optics: PencilOptics): number[] {
    const found = this.paperOf(numbers);
    const own = this.pencils[i]!.readings.filter((reading) => !isFull(reading)).flatMap((reading) => {
      const weight = reading.on === 'bar' ? BAR_WEIGHT : 1;
      return errors(predictedPatch(optics, this.paper, found, reading), reading.lab, weight);
    });
    return [...own, ...this.own(numbers, i).map((value, j) => value / OWN_SOUGHT[j]!.sure)];
  }

  private overlayErrors(numbers: readonly number[], { lab }: OverlayReading, below: PencilOptics, above: PencilOptics) {
    const found = this.paperOf(numbers);
    const passes = [below, above].map((pencil) => ({ pencil, pressure: 'medium' as const }));
    return errors(layPasses(bareGround(fittedPaper(this.paper, found)), passes).lab, lab, 1);
  }
}
