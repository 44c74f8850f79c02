/** How metals shine, one definition each. */
import { type Finish } from './finish.ts';
import { hammered } from './hammered.ts';
import { polished } from './polished.ts';
import { satin } from './satin.ts';

export { type Finish } from './finish.ts';
export const FINISHES: readonly Finish[] = [polished, satin, hammered];

/**
 * The finish with this id.
 * @throws RangeError when there is none
 */
export function finishById(id: string): Finish {
  const finish = FINISHES.find((each) => each.id === id);
  if (!finish) throw new RangeError(`There is no finish called "${id}".`);
  return finish;
}
