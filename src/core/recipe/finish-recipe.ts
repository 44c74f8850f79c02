import { type Ground, type PencilOptics, type Pressure } from '../laydown/index.ts';
import { checkRecipe } from './checks/index.ts';
import { withoutPlaceless } from './covered.ts';
import { type RegionContext } from './effects/index.ts';
import { fillPaper } from './fill-paper.ts';
import { type Recipe } from './recipe.ts';
import { reachValues } from './reach-values.ts';
import { softenSteps } from './soften-steps.ts';

/**
 * A recipe that finishes a thing on its paper: without layers that have no place on it, closed as far as its effect wants,
 * from dark to light as far as a wide thing is to reach, and without a jump where it is to pass softly. What is changed for
 * its values brings no finding that was not there.
 * @param optics of the recipe's pencils, by id
 * @param ground what it is laid on, in the hand that lays it
 * @param hardest the hardest that may be pressed
 * @throws RangeError when a layer's pencil has no optics
 */
export function finishRecipe(
  recipe: Recipe,
  context: RegionContext,
  optics: ReadonlyMap<string, PencilOptics>,
  ground: Ground,
  hardest?: Pressure,
): Recipe {
  const close = (of: Recipe) => {
    const placed = withoutPlaceless(of, context.regions);
    return fillPaper(placed, context, (pencil) => optics.get(pencil), ground, hardest);
  };
  const closed = close(recipe);
  let found: ReadonlySet<string> | undefined;
  const kindsOf = (of: Recipe) => new Set(checkRecipe(of, context, optics, ground).map(({ kind }) => kind));
  const isSound = (other: Recipe) => {
    const before = (found ??= kindsOf(closed));
    return [...kindsOf(other)].every((kind) => before.has(kind));
  };
  const deep = reachValues({ recipe, closed }, context, optics, ground, { close, isSound, hardest });
  return softenSteps(deep, context, optics, ground, isSound);
}
