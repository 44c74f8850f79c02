/** pages: the sheets of the booklet, one file a sheet: its size, paper and the things on it, back to front. */
import { ferrySteps } from './ferry-steps.ts';
import { kiteLoft } from './kite-loft.ts';
import { marshHare } from './marsh-hare.ts';
import { type DemoPage } from './page.ts';
import { tideClock } from './tide-clock.ts';

export { type DemoPage, type DrawnThing, type TrueForm, markOf } from './page.ts';
export { ferrySteps };
/** Every sheet, in the booklet's order. */
export const DEMO_PAGES: readonly DemoPage[] = [ferrySteps, tideClock, marshHare, kiteLoft];

/**
 * The sheet with this id.
 * @throws RangeError when there is none
 */
export function demoPageById(id: string): DemoPage {
  const page = DEMO_PAGES.find((each) => each.id === id);
  if (!page) throw new RangeError(`There is no demo page called "${id}".`);
  return page;
}
