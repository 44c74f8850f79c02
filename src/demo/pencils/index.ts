/** pencils: the four sets of the demo tray, one file a set, how worn each pencil is, and the pens and tools beside them. */
import { type NewPencil } from '../../contracts/index.ts';
import { brookWash } from './brook-wash.ts';
import { chalkpit } from './chalkpit.ts';
import { type Condition, conditionOf } from './condition.ts';
import { type DemoSet } from './demo-set.ts';
import { fenlandOil } from './fenland-oil.ts';
import { quaysideSoft } from './quayside-soft.ts';

export { type DemoSet } from './demo-set.ts';
export { demoTools } from './tools.ts';

/** Every demo set. */
export const DEMO_SETS: readonly DemoSet[] = [quaysideSoft, fenlandOil, chalkpit, brookWash];

export type DemoPencil = NewPencil & Condition;

/** Every pencil of the demo sets as the tray holds it. */
export function demoPencils(): DemoPencil[] {
  return DEMO_SETS.flatMap(({ idPrefix, name: set, type, pencils }) =>
    pencils.map(([code, name, colour, opacity]) => ({
      id: `demo-${idPrefix}${code.toLowerCase()}`,
      code,
      name,
      set,
      type,
      colour,
      opacity: opacity ?? null,
      ...conditionOf(type, code),
    })),
  );
}
