import { expose, transfer } from 'comlink';
import { type SequenceOptions, type Step, sequence } from '../../core/bench/index.ts';
import { type Lab, labOfHex, rgbOfLab } from '../../core/colour/index.ts';
import { type PencilOptics, bareGround, paperById, pencilOptics } from '../../core/laydown/index.ts';
import { type Preferences, type SheetSummary, proposePalettes } from '../../core/palette/index.ts';
import { laydownStrip, rampStrip, toneTables, wheelDisc } from '../../core/preview/index.ts';
import { type Recipe, type RegionContext, checkRecipe, toothAfter } from '../../core/recipe/index.ts';
import { type TrayPencil, onPaper } from '../../core/tray/index.ts';
import { type Report, cancelJob, outcomeOf, runOf } from './jobs.ts';

/** A pencil as it comes out on a paper, without what only the model needs. */
export interface LaidPencil {
  id: string;
  tint: Lab;
  body: Lab;
  wheelAngle: number;
  chroma: number;
}

const optics = new Map<string, PencilOptics>();

const api = {
  cancel: cancelJob,

  /** How each pencil comes out on a paper. */
  onPaper(pencils: readonly TrayPencil[], paper: string): LaidPencil[] {
    return laid(pencils, paper).map(({ id, tint, body, wheelAngle, chroma }) => ({
      id,
      tint,
      body,
      wheelAngle,
      chroma,
    }));
  },

  /** A pencil's laydown from whisper to burnish. */
  strip(pencil: TrayPencil, paper: string, width: number, height: number, shift: number) {
    const image = laydownStrip(opticsOf(pencil), paperById(paper), { width, height, shift });
    return transfer(image, [image.data.buffer]);
  },

  wheel(paper: string, size: number) {
    const image = wheelDisc(paperById(paper), size);
    return transfer(image, [image.data.buffer]);
  },

  propose(
    jobId: string,
    sheet: SheetSummary,
    pencils: readonly TrayPencil[],
    paper: string,
    wishes: Preferences,
    report: Report,
  ) {
    return outcomeOf(() => proposePalettes(sheet, laid(pencils, paper), wishes, runOf(jobId, report)));
  },

  /** What a recipe comes to: findings, tooth left after each layer, and its passage from shadow to highlight. */
  check(
    recipe: Recipe,
    regions: RegionContext['regions'],
    pencils: readonly TrayPencil[],
    paperId: string,
    width: number,
    height: number,
  ) {
    const byId = new Map(pencils.map((pencil) => [pencil.id, opticsOf(pencil)]));
    const paper = paperById(paperId);
    const ground = bareGround(paper);
    return outcomeOf(() => {
      const tables = toneTables(recipe.layers, byId, ground, recipe.halfWidthMm);
      return {
        findings: checkRecipe(recipe, { regions }, byId, ground),
        toothLeft: toothAfter(recipe, byId, ground),
        ramp: rampStrip(tables[recipe.layers.length], rgbOfLab(labOfHex(paper.tint)), { width, height }),
      };
    });
  },

  sequence(jobId: string, steps: readonly Step[], options: SequenceOptions, report: Report) {
    return outcomeOf(() => sequence(steps, options, runOf(jobId, report)));
  },
};
export type PencilWorker = typeof api;
expose(api);

function laid(pencils: readonly TrayPencil[], paper: string) {
  return onPaper(pencils, paperById(paper), new Map(pencils.map((pencil) => [pencil.id, opticsOf(pencil)])));
}

function opticsOf({ masstone, type, opacity }: TrayPencil): PencilOptics {
  const key = JSON.stringify([masstone, type, opacity]);
  let found = optics.get(key);
  if (!found) optics.set(key, (found = pencilOptics({ masstone, type, opacity })));
  return found;
}
