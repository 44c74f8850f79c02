/** checks: what can be wrong with a recipe, one file each; to add one, write its file and list it here. */
import { type Lab } from '../../colour/index.ts';
import { type Ground, type Pass, type PencilOptics, layPasses, toothMarks } from '../../laydown/index.ts';
import { type RegionContext, effectById, usualWidth } from '../effects/index.ts';
import { type Recipe } from '../recipe.ts';
import { rowOf } from '../places.ts';
import { fieldsOf } from '../zone.ts';
import { afterPen } from './after-pen.ts';
import { blenderEarly } from './blender-early.ts';
import { burnishedEarly } from './burnished-early.ts';
import { type Check, type Finding, type NeighbourLook, type PaperRisk } from './check.ts';
import { darkAtBorder } from './dark-at-border.ts';
import { flatForm } from './flat.ts';
import { fullTooth } from './full-tooth.ts';
import { heavyDarkFirst } from './heavy-dark-first.ts';
import { highlightLost } from './highlight-lost.ts';
import { largeStep } from './large-step.ts';
import { maskStays } from './mask-stays.ts';
import { samplePlaces } from './sample-places.ts';
import { narrow } from './narrow.ts';
import { opposites } from './opposites.ts';
import { paperShows } from './paper-shows.ts';
import { smoothMetal } from './smooth-metal.ts';
import { tooLate } from './too-late.ts';
import { weakGlow } from './weak-glow.ts';
import { stillWet, wetPaper } from './wet-paper.ts';
import { whiteOverColour } from './white-over-colour.ts';
import { wrongBlender } from './wrong-blender.ts';

export { samplePlaces } from './sample-places.ts';
export { type Check, type Finding, type NeighbourLook, type PaperRisk } from './check.ts';
/** Every check, what matters most first. */
export const CHECKS: readonly Check[] = [
  wetPaper,
  stillWet,
  afterPen,
  tooLate,
  maskStays,
  fullTooth,
  burnishedEarly,
  blenderEarly,
  heavyDarkFirst,
  paperShows,
  highlightLost,
  smoothMetal,
  weakGlow,
  flatForm,
  largeStep,
  opposites,
  whiteOverColour,
  wrongBlender,
  darkAtBorder,
  narrow,
];

/** Firm passes after which a pencil lies about as thick as it goes. */
const THICK_PASSES = 4;

/** What is known beside the recipe itself. */
export interface Beside {
  neighbours?: readonly NeighbourLook[];
  paper?: PaperRisk;
}

const NOTHING_KNOWN: PaperRisk = { weightGsm: null, waterSafe: null, inkRuns: null };

/**
 * Looks a recipe over before it is laid.
 * @param optics the pencils of the recipe by id
 * @param ground what it is laid on
 * @returns at most one finding of each check, what matters most first
 * @throws RangeError when a layer's pencil has no optics
 */
export function checkRecipe(
  recipe: Recipe,
  context: RegionContext,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
  { neighbours = [], paper = NOTHING_KNOWN }: Beside = {},
): Finding[] {
  const look = {
    recipe,
    context,
    optics,
    ground,
    neighbours,
    paper,
    effect: effectById(recipe.effect),
    places: samplePlaces(recipe, optics, ground, { widthMm: usualWidth(context) }),
    groundValue: layPasses(ground, []).lab[0],
    toothFull: toothMarks(ground).full,
    row: rowOf(fieldsOf(recipe.layers)),
    labOf: oncePerPencil((pencil) => layPasses(ground, [{ pencil, pressure: 'medium' }]).lab),
    thickOf: oncePerPencil(
      (pencil) => layPasses(ground, new Array<Pass>(THICK_PASSES).fill({ pencil, pressure: 'firm' })).lab,
    ),
  };
  return CHECKS.flatMap(({ id, title, about = 'layers', find }) => {
    const found = find(look);
    return found ? [{ kind: id, title, about, ...found }] : [];
  });

  /** Checks ask for the same pencils at every place. */
  function oncePerPencil(lay: (pencil: PencilOptics) => Lab): (id: string) => Lab {
    const known = new Map<string, Lab>();
    return (id) => {
      const lab = known.get(id) ?? lay(optics.get(id)!);
      known.set(id, lab);
      return lab;
    };
  }
}
