import { type Lab } from '../../colour/index.ts';
import { type Ground, type PencilOptics } from '../../laydown/index.ts';
import type { RecipeEdits, Layer } from '../schemas.ts';
import { type Effect, type RegionContext } from '../effects/index.ts';
import { type Recipe } from '../recipe.ts';
import { type FieldValues } from '../zone.ts';

/** Something about a recipe that deserves a look, with what to do about it. */
export interface Finding {
  /** Id of the check. */
  kind: string;
  title: string;
  /** What it is about: the layers, or how wide what they are laid in is. */
  about: 'layers' | 'widths';
  sentence: string;
  /** What to do, in a sentence. */
  remedy: string;
  /** The same as changes to the recipe; null where that is not a matter of its layers. */
  change: RecipeEdits | null;
}

/** What a check finds; its kind, title and what it is about are those of the check. */
export type Found = Omit<Finding, 'kind' | 'title' | 'about'>;

/** One kind of place of a recipe, and what happens there. */
export interface SampledPlace {
  place: FieldValues;
  /** Places of the layers that are laid there with more than half of their pressure. */
  layers: readonly number[];
  /** Share of tooth that each of them found, 0..1. */
  toothBefore: readonly number[];
  /** The colour before each of them, and when all is laid. */
  labBefore: readonly Lab[];
  lab: Lab;
  /** Share of bare paper in the end, 0..1. */
  specks: number;
}

/** What a thing's neighbour is like where they touch. */
export interface NeighbourLook {
  name: string;
  /** L* of its palest laydown. */
  palest: number;
}

/** What checks look at. */
export interface Look {
  recipe: Recipe;
  effect: Effect;
  context: RegionContext;
  /** In the order of the first field; of two fields row by row. */
  places: readonly SampledPlace[];
  /** Places in a row of the first field. */
  row: number;
  optics: ReadonlyMap<string, PencilOptics>;
  /** What it is laid on. */
  ground: Ground;
  /** How each pencil of the recipe comes out alone, laid medium. */
  labOf(pencil: string): Lab;
  /** The same laid as thick as it goes. */
  thickOf(pencil: string): Lab;
  /** L* of what it is laid on. */
  groundValue: number;
  /** Share of the tooth left at which this paper is full in this hand. */
  toothFull: number;
  neighbours: readonly NeighbourLook[];
  paper: PaperRisk;
}

/** What a paper is known not to stand. */
export interface PaperRisk {
  /** Grams a square metre; null where nobody said. */
  weightGsm: number | null;
  /** Whether it stands water, and whether its ink runs; null where nobody tried. */
  waterSafe: boolean | null;
  inkRuns: boolean | null;
}

/** One thing that can be wrong with a recipe: one file each. */
export interface Check {
  id: string;
  title: string;
  /** What it is about: the layers, or how wide what they are laid in is; default the layers. */
  about?: Finding['about'];
  find(look: Look): Found | null;
}

/** L* of a white page. */
const WHITE = 95;

/** What of a step in value, L*, can be had on a ground: on a darker one the palest is not as pale. */
export function onGround(step: number, groundValue: number): number {
  return step * Math.min(1, (groundValue / WHITE) ** 2);
}

/** What a person calls a layer: its number. */
export function nameOf(layers: readonly Layer[], layer: Layer): string {
  return `layer ${layers.indexOf(layer) + 1}`;
}

/** The same at the start of a sentence. */
export function startOf(layers: readonly Layer[], layer: Layer): string {
  return `Layer ${layers.indexOf(layer) + 1}`;
}
