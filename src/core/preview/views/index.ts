/** views: ways of looking at a predicted page to judge it; to add one, write its file and list it here. */
import { deutan, protan, tritan } from './deficient.ts';
import { squint } from './squint.ts';
import { value } from './value.ts';
import { type View } from './view.ts';
import { warmCool } from './warm-cool.ts';

export { type View } from './view.ts';
/** Every view but the plain one. */
export const VIEWS: readonly View[] = [value, squint, warmCool, protan, deutan, tritan];

/**
 * The view with this id.
 * @throws RangeError when there is none.
 */
export function viewById(id: string): View {
  const view = VIEWS.find((each) => each.id === id);
  if (!view) throw new RangeError(`There is no view called "${id}".`);
  return view;
}
