import type { BenchPlan } from '../contracts/index.ts';
import { type Round, roundsOf } from '../core/bench/index.ts';

/** The rounds of an order, sitting by sitting. */
export function roundsOfPlan({ steps, sittings }: Pick<BenchPlan, 'steps' | 'sittings'>): Round[][] {
  const stepOf = new Map(steps.map((step) => [step.id, step]));
  return sittings.map((sitting) => roundsOf(sitting.steps.map((id) => stepOf.get(id)!)));
}
