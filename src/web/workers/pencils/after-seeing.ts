import { type LooksOtherwise, type Recipe, afterSeeing, handAfterSeeing } from '../../../core/recipe/index.ts';
import { type Job } from '../job.ts';
import { type PencilsOnGround } from './check-recipe.ts';
import { groundOf, opticsById } from './pencil-optics.ts';

export interface AfterSeeingInput extends PencilsOnGround {
  recipe: Recipe;
  /** How many of its layers are laid. */
  laid: number;
  look: LooksOtherwise;
}

export interface SeenAfter extends ReturnType<typeof afterSeeing> {
  /** A factor a pressure. */
  hand: ReturnType<typeof handAfterSeeing>;
}

/** How to fit the layers that are left to first ones that look otherwise than foretold, and what that says of the hand. */
export const afterSeeingJob: Job<AfterSeeingInput, SeenAfter> = {
  run({ recipe, laid, look, pencils, paper, onGround }) {
    const byId = opticsById(pencils);
    return {
      ...afterSeeing(recipe, laid, look, byId, groundOf(paper, onGround)),
      hand: look === 'patchy' ? {} : handAfterSeeing(recipe.layers.slice(0, laid), look, byId, paper),
    };
  },
};
