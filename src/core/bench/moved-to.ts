import { type Costs, USUAL_COSTS } from './costs.ts';
import type { Sitting, Step } from './schemas.ts';
import { remindersOf } from './lay-out.ts';
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

/**
 * Steps with all that has to go along where they are moved to another sitting: what waits for them on the way to a later one,
 * what they wait for on the way to an earlier one.
 * @param ids of the steps that are moved
 * @param to number of a sitting, from 0
 */
export function withWhatGoesAlong(
  steps: readonly Pick<Step, 'id' | 'after'>[],
  sittings: readonly Sitting[],
  ids: readonly string[],
  to: number,
): string[] {
  const sittingOf = new Map(sittings.flatMap((sitting, i) => sitting.steps.map((id) => [id, i] as const)));
  const stepOf = new Map(steps.map((step) => [step.id, step]));
  const waitFor = new Map<string, string[]>();
  for (const { id, after } of steps)
    for (const before of after) waitFor.set(before, [...(waitFor.get(before) ?? []), id]);
  const along = new Set(ids);
  for (const id of along) {
    const isLater = (sittingOf.get(id) ?? to) < to;
    const others = isLater ? (waitFor.get(id) ?? []) : (stepOf.get(id)?.after ?? []);
    for (const other of others) {
      const at = sittingOf.get(other);
      if (at !== undefined && (isLater ? at < to : at > to)) along.add(other);
    }
  }
  return sittings.flatMap((sitting) => sitting.steps.filter((id) => along.has(id)));
}

/** Minutes that a sitting takes; points are taken to be fresh. */
function minutesAt(steps: readonly Step[], costs: Costs): number {
  const reminders = remindersOf(steps);
  const clock = new SittingClock(costs);
  for (const step of steps) clock.lay(step, reminders.get(step.id)!);
  return clock.minutes;
}
