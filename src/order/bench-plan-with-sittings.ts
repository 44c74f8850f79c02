import type { NewBenchPlan } from '../contracts/index.ts';
import { type Sitting, overheadOf } from '../core/bench/index.ts';

/**
 * An order as it was agreed, with what is left of it in other sittings: what is done has left it.
 * @param sittings that hold every step of the plan, done or not
 * @param done ids of steps that stand as done
 */
export function benchPlanWithSittings(
  id: string,
  benchPlan: NewBenchPlan,
  sittings: readonly Sitting[],
  done: ReadonlySet<string>,
): NewBenchPlan {
  const left = sittings
    .map(({ steps, minutes }) => ({ steps: steps.filter((step) => !done.has(step)), minutes }))
    .filter(({ steps }) => steps.length > 0);
  const stepOf = new Map(benchPlan.steps.map((step) => [step.id, step]));
  const order = left.flatMap(({ steps }) => steps);
  const { pickUps, sharpenings, smearCm2 } = overheadOf(order.map((step) => stepOf.get(step)!));
  return {
    ...benchPlan,
    id,
    order,
    pickUps,
    sharpenings,
    smearCm2,
    lowerBound: Math.min(benchPlan.lowerBound, pickUps),
    sittings: left,
    minutes: left.reduce((sum, { minutes }) => sum + minutes, 0),
    steps: benchPlan.steps
      .filter((step) => !done.has(step.id))
      .map((step) => ({ ...step, after: step.after.filter((before) => !done.has(before)) })),
  };
}
