import { labOfHex, rgbOfLab } from '../../../core/colour/index.ts';
import { type Paper } from '../../../core/laydown/index.ts';
import { rampStrip, toneTables } from '../../../core/preview/index.ts';
import {
  type Beside,
  type Recipe,
  type RegionContext,
  checkRecipe,
  consequencesOf,
  toothAfter,
} from '../../../core/recipe/index.ts';
import { type RegionGround } from '../../../core/render/index.ts';
import { type TrayPencil } from '../../../core/tray/index.ts';
import { type Job } from '../job.ts';
import { groundOf, opticsById } from './pencil-optics.ts';

/** Pencils on a paper with what lies there already. */
export interface PencilsOnGround {
  pencils: readonly TrayPencil[];
  paper: Paper;
  /** What lies where it is laid; null for bare paper. */
  onGround: RegionGround | null;
}

/** A recipe to look over; its pencils are those of both recipes. */
export interface CheckRecipeInput extends PencilsOnGround {
  recipe: Recipe;
  /** The recipe that a person changed into this one; null where nothing was changed just now. */
  before: Recipe | null;
  regions: RegionContext['regions'];
  beside: Beside;
  /** Of the passage, pixels. */
  width: number;
  height: number;
}

export interface CheckedRecipe {
  findings: ReturnType<typeof checkRecipe>;
  /** What changed against the recipe before. */
  consequences: ReturnType<typeof consequencesOf> | null;
  /** After each layer. */
  toothLeft: ReturnType<typeof toothAfter>;
  /** Its passage from shadow to highlight. */
  ramp: ReturnType<typeof rampStrip>;
}

/** What a recipe comes to. */
export const checkRecipeJob: Job<CheckRecipeInput, CheckedRecipe> = {
  run({ recipe, before, regions, pencils, paper, onGround, beside, width, height }) {
    const byId = opticsById(pencils);
    const ground = groundOf(paper, onGround);
    const tint = labOfHex(paper.tint);
    const tables = toneTables(recipe.layers, byId, ground);
    return {
      findings: checkRecipe(recipe, { regions, paperValue: tint[0] }, byId, ground, beside),
      consequences: before && consequencesOf(before, recipe, byId, ground),
      toothLeft: toothAfter(recipe, byId, ground),
      ramp: rampStrip(
        tables[recipe.layers.length]!,
        { rgb: rgbOfLab(tint), grainMm: paper.grainMm },
        { width, height },
      ),
    };
  },
};
