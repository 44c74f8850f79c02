import { expose, transfer } from 'comlink';
import type { RegionGround, TrialStep } from '../../contracts/index.ts';
import { type SequenceOptions, type Step, priceOfOpen, sequence } from '../../core/bench/index.ts';
import { type Lab, labOfHex, labOfSpectrum, labUnder, lampById, rgbOfLab, wheelById } from '../../core/colour/index.ts';
import {
  PRESSURES,
  type OverlayReading,
  type Paper,
  type PaperFit,
  type Pass,
  type PencilOptics,
  type Pressure,
  type ReadPencil,
  type ToolPass,
  bareGround,
  fitCard,
  fitPencil,
  groundAfterPasses,
  handFromTrials,
  layPasses,
  pencilFromTrial,
  pencilOptics,
  remarksOn,
  reflectanceOf,
} from '../../core/laydown/index.ts';
import {
  type ExtraPencil,
  type PageSummary,
  type Proposal,
  type Wishes,
  auditPage,
  coloursOfPhoto,
  extrasFor,
  factsOfFamily,
  proposePalettes,
  swapsFor,
} from '../../core/palette/index.ts';
import { type RgbaImage } from '../../core/lineart/index.ts';
import { groundPatch, laydownStrip, rampStrip, toneTables, viewById, wheelDisc } from '../../core/preview/index.ts';
import {
  EXTRAS,
  type Extra,
  type Family,
  type Beside,
  type Recipe,
  type RegionContext,
  type LooksOtherwise,
  afterSeeing,
  checkRecipe,
  consequencesOf,
  handAfterSeeing,
  toothAfter,
} from '../../core/recipe/index.ts';
import { type Happened, type Mistake, mistakeAt, mistakeById, remediesFor } from '../../core/remedies/index.ts';
import { checkpoints } from '../../core/run/index.ts';
import {
  type RampOptions,
  type TrayPencil,
  convertSet,
  differenceInWords,
  labAt,
  layTray,
  layeringsNear,
  mostHelpful,
  nearestAtBest,
  onPaper,
  opacityOf,
  planRamp,
  whatIsMissing,
} from '../../core/tray/index.ts';
import { groundFinder } from '../../rendering/index.ts';
import { type Report, cancelJob, outcomeOf, runOf } from './jobs.ts';

/** A pencil as it comes out on a paper, without what only the model needs. */
export interface LaidPencil {
  id: string;
  tint: Lab;
  body: Lab;
  wheelAngle: number;
  chroma: number;
  /** OKLCH hue of the body, degrees. */
  hue: number;
}

/** A recipe to look over. */
export interface CheckRequest {
  recipe: Recipe;
  /** The recipe that a person changed into this one; null where nothing was changed just now. */
  before: Recipe | null;
  regions: RegionContext['regions'];
  /** Pencils of both recipes. */
  pencils: readonly TrayPencil[];
  paper: Paper;
  /** What lies where it is laid; null for bare paper. */
  onGround: RegionGround | null;
  beside: Beside;
}

function groundOf(paper: Paper, onGround: RegionGround | null) {
  return groundFinder(paper, new Map(onGround ? [[1, onGround]] : []))(1).ground;
}

/** Palettes are worked out for so long, or until so many moves have been tried. */
const PROPOSING_MS = 2500;
const MOST_MOVES = 400_000;

/** Trial patches are shown at so many pixels a mm, as close as one looks at a scrap. */
const PATCH_PX_PER_MM = 10;
const optics = new Map<string, PencilOptics>();

const api = {
  cancel: cancelJob,

  /** How each pencil comes out on a paper. */
  onPaper(pencils: readonly TrayPencil[], paper: Paper): LaidPencil[] {
    return laid(pencils, paper).map(({ id, tint, body, wheelAngle, chroma, hue }) => ({
      id,
      tint,
      body,
      wheelAngle,
      chroma,
      hue,
    }));
  },

  /** The finished colours of pencils by daylight and under a lamp. */
  bodiesUnder(pencils: readonly TrayPencil[], paper: Paper, lamp: string) {
    const ground = bareGround(paper);
    return pencils.map((pencil) => {
      const body = (['medium', 'firm'] as const).map((pressure) => ({ pencil: opticsOf(pencil), pressure }));
      const spectrum = reflectanceOf(groundAfterPasses(ground, body));
      return { id: pencil.id, day: labOfSpectrum(spectrum), lamp: labUnder(spectrum, lampById(lamp)) };
    });
  },

  /** A pencil's laydown from whisper to burnish. */
  strip(pencil: TrayPencil, paper: Paper, width: number, height: number, shift: number, lamp: string | null) {
    const by = lamp === null ? undefined : lampById(lamp);
    const image = laydownStrip(opticsOf(pencil), paper, { width, height, shift, lamp: by });
    return transfer(image, [image.data.buffer]);
  },

  wheel(paper: Paper, size: number, wheel: string, rings: boolean) {
    const image = wheelDisc(paper, size, { wheel: wheelById(wheel), rings });
    return transfer(image, [image.data.buffer]);
  },

  /** A picture as it is seen in one of the ways of judging it. */
  view(id: string, picture: RgbaImage) {
    const seen = viewById(id).of(picture);
    return transfer(seen, [seen.data.buffer]);
  },

  /** The colours of a photo. */
  coloursOfPhoto(photo: RgbaImage, count: number) {
    return outcomeOf(() => coloursOfPhoto(photo, count));
  },

  /** What there is to say of a page in these colours. */
  audit(
    page: PageSummary,
    colours: readonly (readonly [string, Lab])[],
    pencils: readonly TrayPencil[],
    paper: Paper,
    wheel: string,
    scheme: string,
  ) {
    return auditPage(page, new Map(colours), laid(pencils, paper), wheelById(wheel), scheme);
  },

  /** How a family does, what could take each of its places, and what could stand beside it. */
  family(family: Family, pencils: readonly TrayPencil[], paper: Paper, neighbours: readonly Lab[], wheel: string) {
    const tray = laid(pencils, paper);
    const byId = new Map(tray.map((pencil) => [pencil.id, pencil]));
    const beside = (extra: Extra) => extrasFor(extra, family, tray, wheelById(wheel));
    return outcomeOf(() => ({
      facts: factsOfFamily(family, byId, paper, neighbours),
      swaps: family.pencils.map((_, place) => swapsFor(family, place, byId, paper, neighbours)),
      extras: Object.fromEntries(EXTRAS.map((extra) => [extra, beside(extra)])) as Record<Extra, ExtraPencil[]>,
    }));
  },

  propose(
    jobId: string,
    page: PageSummary,
    pencils: readonly TrayPencil[],
    paper: Paper,
    wishes: Wishes,
    seed: number,
    found: (proposals: Proposal[]) => void,
    report: Report,
  ) {
    const live = { seed, moves: MOST_MOVES, deadlineMs: PROPOSING_MS, found };
    return outcomeOf(() => proposePalettes(page, laid(pencils, paper), paper, wishes, live, runOf(jobId, report)));
  },

  /**
   * What a recipe comes to: findings, what changed against the one before, tooth left after each layer, and its passage
   * from shadow to highlight.
   */
  check({ recipe, before, regions, pencils, paper, onGround, beside }: CheckRequest, width: number, height: number) {
    const byId = new Map(pencils.map((pencil) => [pencil.id, opticsOf(pencil)]));
    const ground = groundOf(paper, onGround);
    const context = { regions, paperValue: labOfHex(paper.tint)[0] };
    return outcomeOf(() => {
      const tables = toneTables(recipe.layers, byId, ground);
      return {
        findings: checkRecipe(recipe, context, byId, ground, beside),
        consequences: before && consequencesOf(before, recipe, byId, ground),
        toothLeft: toothAfter(recipe, byId, ground),
        ramp: rampStrip(
          tables[recipe.layers.length],
          { rgb: rgbOfLab(labOfHex(paper.tint)), grainMm: paper.grainMm },
          { width, height },
        ),
      };
    });
  },

  /** What the swatches of a tray on one paper come to. */
  fitSwatches(
    jobId: string,
    paper: Paper,
    pencils: readonly ReadPencil[],
    overlays: readonly OverlayReading[],
    report: Report,
  ) {
    return outcomeOf(() => fitCard(paper, pencils, overlays, runOf(jobId, report)));
  },

  /** What the swatches of one pencil come to on a paper that is known. */
  fitOne(paper: Paper, found: PaperFit, pencil: ReadPencil) {
    return outcomeOf(() => fitPencil(paper, found, pencil));
  },

  /** The colour of one pass of a pencil at a pressure. */
  laidAt(pencil: TrayPencil, paper: Paper, pressure: Pressure): Lab {
    return layPasses(bareGround(paper), [{ pencil: opticsOf(pencil), pressure }]).lab;
  },

  /**
   * The pencils nearest to a colour at a pressure or at any, and layerings that come nearer than any of them.
   * @param of the pencil whose colour it is, so that what covers more or less is told too
   */
  near(
    target: Lab,
    of: TrayPencil | null,
    pencils: readonly TrayPencil[],
    paper: Paper,
    pressure: Pressure | 'any',
    limit: number,
  ) {
    const tray = layTray(pencils, paper, solved(pencils));
    const singles = nearestAtBest(target, tray, pressure === 'any' ? PRESSURES : [pressure], limit).map(
      ({ index, lab, deltaE, pressure: at }) => {
        const covers = of ? ([opacityOf(pencils[index]), opacityOf(of)] as const) : undefined;
        return { id: pencils[index].id, pressure: at, lab, deltaE, differs: differenceInWords(lab, target, covers) };
      },
    );
    const least = singles[0]?.deltaE ?? Infinity;
    const layerings = layeringsNear(target, tray, limit)
      .filter(({ deltaE }) => deltaE < least)
      .map(({ layers, ...layering }) => ({
        ...layering,
        layers: layers.map(({ index, pressure: at }) => ({ id: pencils[index].id, pressure: at })),
      }));
    return { singles, layerings };
  },

  /** The smoothest passage between two colours. */
  ramp(from: Lab, to: Lab, pencils: readonly TrayPencil[], options: RampOptions) {
    return outcomeOf(() => planRamp(from, to, laid(pencils, options.paper), options));
  },

  /** What stands in for each pencil of one set in another. */
  convert(
    jobId: string,
    from: readonly TrayPencil[],
    to: readonly TrayPencil[],
    paper: Paper,
    pressure: Pressure,
    report: Report,
  ) {
    const run = runOf(jobId, report);
    const breathe = checkpoints(run);
    const lay = (pencils: readonly TrayPencil[]) => layTray(pencils, paper, solved(pencils));
    return outcomeOf(async () => {
      const [own, other] = [lay(from), lay(to)];
      const found = [];
      for (const conversion of convertSet(own, other, pressure)) {
        found.push({
          id: from[conversion.from].id,
          near: conversion.near && { id: to[conversion.near.index].id, deltaE: conversion.near.deltaE },
          closeness: conversion.closeness,
          differs: conversion.differs,
          layering: conversion.layering && {
            deltaE: conversion.layering.deltaE,
            layers: conversion.layering.layers.map(({ index, pressure: at }) => ({ id: to[index].id, pressure: at })),
          },
        });
        await breathe(found.length / from.length, 'looking for what comes nearest');
      }
      return found;
    });
  },

  /**
   * Holes and twins of a tray, and which pencil of others would help most: with what is planned in pencils that are not
   * here, by how much lead of each that takes, or with anything that others have.
   */
  missing(
    pencils: readonly TrayPencil[],
    others: readonly TrayPencil[],
    planned: ReadonlyMap<string, number>,
    paper: Paper,
  ) {
    const lay = (some: readonly TrayPencil[]) => layTray(some, paper, solved(some));
    const [own, other] = [lay(pencils), lay(others)];
    const { hues, values, twice } = whatIsMissing(own);
    const wanted = others.map(({ id }, index) => ({
      lab: labAt(other.labs.firm, index),
      weight: planned.size > 0 ? (planned.get(id) ?? 0) : 1,
    }));
    return {
      hues,
      values,
      twice: twice.map(({ a, b, deltaE }) => ({ a: pencils[a].id, b: pencils[b].id, deltaE })),
      helpful: mostHelpful(own, other, wanted, 3).map(({ index, gain }) => ({ id: others[index].id, gain })),
    };
  },

  /** What stands after each of some passes laid on a trial patch; pencils by their optics, tools by name. */
  trial(pencils: readonly TrayPencil[], paper: Paper, steps: readonly TrialStep[], size: number) {
    return outcomeOf(() => {
      const passes = passesOf(steps, solved(pencils));
      const ground = bareGround(paper);
      const { after, ground: last } = layPasses(ground, passes);
      return {
        after,
        picture: groundPatch(last, size, paper.grainMm, PATCH_PX_PER_MM),
        remarks: remarksOn(ground, passes),
      };
    });
  },

  /** What trial patches with what really came out say of the hand: a factor a pressure. */
  teachHand(
    paper: Paper,
    pencils: readonly TrayPencil[],
    trials: readonly { steps: readonly TrialStep[]; lab: Lab }[],
  ) {
    const known = solved(pencils);
    return outcomeOf(() =>
      handFromTrials(
        paper,
        trials.map(({ steps, lab }) => ({ passes: passesOf(steps, known), lab })),
      ),
    );
  },

  /** What a trial patch with what really came out says of one pencil in it. */
  teachPencil(
    paper: Paper,
    pencils: readonly TrayPencil[],
    { steps, lab }: { steps: readonly TrialStep[]; lab: Lab },
    pencilId: string,
  ) {
    const pencil = pencils.find(({ id }) => id === pencilId)!;
    const others = solved(pencils);
    return outcomeOf(() =>
      pencilFromTrial(paper, pencil, (own) => passesOf(steps, new Map([...others, [pencilId, own]])), lab),
    );
  },

  /** How to fit the layers that are left to first ones that look otherwise than foretold, and what that says of the hand. */
  afterSeeing(
    recipe: Recipe,
    laid: number,
    look: LooksOtherwise,
    { pencils, paper, onGround }: Pick<CheckRequest, 'pencils' | 'paper' | 'onGround'>,
  ) {
    const byId = solved(pencils);
    return outcomeOf(() => ({
      ...afterSeeing(recipe, laid, look, byId, groundOf(paper, onGround)),
      hand: look === 'patchy' ? {} : handAfterSeeing(recipe.layers.slice(0, laid), look, byId, paper),
    }));
  },

  /** What can be done about a mistake on a thing. */
  remedies(
    happened: Happened,
    { pencils, paper, onGround }: Pick<CheckRequest, 'pencils' | 'paper' | 'onGround'>,
    { pens, elsewhere }: Pick<Mistake, 'pens' | 'elsewhere'>,
  ) {
    const byId = solved(pencils);
    const offered = pencils.map(({ id, code }) => ({ id, code, optics: byId.get(id)! }));
    return outcomeOf(() =>
      remediesFor({
        ...mistakeAt(happened, byId, groundOf(paper, onGround)),
        kind: mistakeById(happened.kind),
        pencil: happened.pencil,
        pencils: offered,
        pens,
        elsewhere,
      }),
    );
  },

  sequence(jobId: string, steps: readonly Step[], options: SequenceOptions, report: Report) {
    return outcomeOf(() => sequence(steps, options, runOf(jobId, report)));
  },

  /** What it costs to have no more things open than each of some limits. */
  priceOfOpen(
    jobId: string,
    steps: readonly Step[],
    limits: readonly number[],
    options: Omit<SequenceOptions, 'openThings'>,
    report: Report,
  ) {
    return outcomeOf(() => priceOfOpen(steps, limits, options, runOf(jobId, report)));
  },
};
export type PencilWorker = typeof api;
expose(api);

function laid(pencils: readonly TrayPencil[], paper: Paper) {
  return onPaper(pencils, paper, solved(pencils));
}

function passesOf(steps: readonly TrialStep[], optics: ReadonlyMap<string, PencilOptics>): (Pass | ToolPass)[] {
  return steps.map((step) => ('pencil' in step ? { pencil: optics.get(step.pencil)!, pressure: step.pressure } : step));
}

function solved(pencils: readonly TrayPencil[]): Map<string, PencilOptics> {
  return new Map(pencils.map((pencil) => [pencil.id, opticsOf(pencil)]));
}

function opticsOf({ id: _id, code: _code, ...declaration }: TrayPencil): PencilOptics {
  const key = JSON.stringify(declaration);
  let found = optics.get(key);
  if (!found) optics.set(key, (found = pencilOptics(declaration)));
  return found;
}
