/** Plans of every version that was ever stored, brought up to the present one. */
import { PLAN_VERSION, Plan } from '../../contracts/index.ts';
import { type PlanDifference, difference } from '../patches.ts';
import { fromVersion1 } from './version-1.ts';

/**
 * A plan as it is stored, whatever its version.
 * @throws ZodError where it is no plan
 */
export function readPlan(stored: unknown): Plan {
  const { version } = stored as { version?: unknown };
  return version === PLAN_VERSION ? Plan.parse(stored) : fromVersion1(stored);
}

/** A change as it was logged with plans of version 1: whole sections, as they stood before and after. */
export interface SectionChange {
  before: Readonly<Record<string, unknown>>;
  after: Readonly<Record<string, unknown>>;
  undone: boolean;
}

/**
 * A plan of version 1 with its history, as a document of today and the patches between its states.
 * @param changes in the order in which they were made
 * @param regionsFrom what its regions were found from; null where none are stored
 * @returns for each change its patches, or null where a state that it speaks of cannot be read: it and all that lie
 * beyond it cannot be reached any more
 */
export function upgradeHistory(
  stored: object,
  changes: readonly SectionChange[],
  regionsFrom: string | null,
): { plan: Plan; changes: (PlanDifference | null)[] } {
  const read = (plan: object): Plan => ({ ...readPlan(plan), regionsFrom });
  const plan = read(stored);
  const found: (PlanDifference | null)[] = changes.map(() => null);
  const walk = (indexes: readonly number[], section: 'before' | 'after') => {
    let [state, here] = [stored, plan];
    for (const i of indexes) {
      const change = changes[i]!;
      // A section that was not there yet was undefined, and JSON left it out: it goes away again.
      const gone = Object.keys(change.after).map((name) => [name, change[section][name]]);
      state = { ...state, ...Object.fromEntries(gone) };
      let there: Plan;
      try {
        there = read(state);
      } catch {
        return;
      }
      found[i] = section === 'before' ? difference(there, here) : difference(here, there);
      here = there;
    }
  };
  const done = changes.flatMap(({ undone }, i) => (undone ? [] : [i]));
  const undone = changes.flatMap((change, i) => (change.undone ? [i] : []));
  walk(done.reverse(), 'before');
  walk(undone, 'after');
  return { plan, changes: found };
}
