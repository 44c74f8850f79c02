import type { BenchPlan } from '../contracts/index.ts';

/** How things stand once the first so many sittings of an order were held. */
export interface AfterEvenings {
  /** Ids of the things that are finished, begun and not begun by then. */
  finished: readonly string[];
  begun: readonly string[];
  untouched: readonly string[];
  /** Minutes of laying that are left out. */
  minutesLeft: number;
}

/**
 * What so many evenings come to, and what they leave out.
 * @param done ids of steps that are done
 * @param evenings how many sittings are held, of those in which something is left
 */
export function afterEvenings(
  { steps, sittings, things }: Pick<BenchPlan, 'steps' | 'sittings' | 'things'>,
  done: ReadonlySet<string>,
  evenings: number,
): AfterEvenings {
  const ahead = sittings.filter((sitting) => sitting.steps.some((id) => !done.has(id)));
  const through = new Set([...done, ...ahead.slice(0, evenings).flatMap((sitting) => sitting.steps)]);
  const left = steps.filter(({ id }) => !through.has(id));
  const isLeft = new Set(left.map(({ thingId }) => thingId));
  const isBegun = new Set(steps.filter(({ id }) => through.has(id)).map(({ thingId }) => thingId));
  const ids = things.map(({ id }) => id);
  return {
    finished: ids.filter((id) => !isLeft.has(id)),
    begun: ids.filter((id) => isLeft.has(id) && isBegun.has(id)),
    untouched: ids.filter((id) => isLeft.has(id) && !isBegun.has(id)),
    minutesLeft: left.reduce((sum, { minutes }) => sum + minutes, 0),
  };
}
