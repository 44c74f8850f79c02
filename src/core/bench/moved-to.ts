import { type Costs, USUAL_COSTS } from './costs.ts';
import type { Sitting, Step } from './schemas.ts';
import { Points } from './points.ts';
import { SittingClock } from './sitting-clock.ts';

/**
 * Sittings with some steps moved to another one: to its end from a later one, to its beginning from an earlier one. They
 * keep their order. A sitting that nothing is left of goes. Whether the order is still valid is not looked at.
 * @param ids of the steps that are moved
 * @param to number of a sitting, from 0; one behind the last makes a new one
 * @throws RangeError when there is no such sitting
 */
export function movedTo(
  steps: readonly Step[],
  sittings: readonly Sitting[],
  ids: readonly string[],
  to: number,
  costs: Costs = USUAL_COSTS,
): Sitting[] {
  if (!Number.isInteger(to) || to < 0 || to > sittings.length) throw new RangeError('There is no such sitting.');
  const moving = new Set(ids);
  const before: string[] = [];
  const after: string[] = [];
  const rest = sittings.map((sitting, i) => {
    const own = i === to ? [] : sitting.steps.filter((id) => moving.has(id));
    (i < to ? before : after).push(...own);
    return sitting.steps.filter((id) => i === to || !moving.has(id));
  });
  const next = [...rest, []].map((own, i) => (i === to ? [...before, ...own, ...after] : own));
  const stepOf = new Map(steps.map((step) => [step.id, step]));
  return next
    .filter((own) => own.length > 0)
    .map((own) => ({
      steps: own,
      minutes: minutesAt(
        own.map((id) => stepOf.get(id)!),
        costs,
      ),
    }));
}

/** Minutes that a sitting takes; points are taken to be fresh. */
function minutesAt(steps: readonly Step[], costs: Costs): number {
  const points = new Points();
  const clock = new SittingClock(costs);
  for (const step of steps) clock.lay(step, points.lay(step));
  return clock.minutes;
}
