import { type Round } from './rounds.ts';
import type { Step } from './schemas.ts';

/**
 * The steps that are still to be done, in the order in which they come up: what was put off comes last, and with it what
 * has to wait for it.
 * @param order steps in the order of the plan
 * @param done ids of steps that are done
 * @param skipped ids of steps that were put off, in that order
 */
export function stepsAhead<S extends Pick<Step, 'id' | 'after'>>(
  order: readonly S[],
  done: ReadonlySet<string>,
  skipped: readonly string[],
): S[] {
  const known = new Set(order.map(({ id }) => id));
  const putOff = new Set(skipped);
  const through = new Set(done);
  const ahead: S[] = [];
  const stepOf = new Map(order.map((step) => [step.id, step]));
  const left = order.filter(({ id }) => !done.has(id));
  const take = (step: S) => {
    ahead.push(step);
    through.add(step.id);
  };
  const isFree = ({ after }: S) => after.every((id) => through.has(id) || !known.has(id));
  for (const step of left) if (!putOff.has(step.id) && isFree(step)) take(step);
  for (const id of skipped) {
    const step = stepOf.get(id);
    if (!step || through.has(id) || !isFree(step)) continue;
    take(step);
    // What waited for it follows at once, in the order of the plan.
    for (const next of left) if (!putOff.has(next.id) && !through.has(next.id) && isFree(next)) take(next);
  }
  for (const step of left) if (!through.has(step.id)) take(step);
  return ahead;
}

/**
 * What is left of rounds, in the order in which it comes up; what was put off comes last, as rounds of their own.
 * @param rounds in the order of the plan
 * @param done ids of steps that are done
 * @param skipped ids of steps that were put off, in that order
 */
export function roundsAhead(rounds: readonly Round[], done: ReadonlySet<string>, skipped: readonly string[]): Round[] {
  const roundOf = new Map(rounds.flatMap(({ id, steps }) => steps.map((step) => [step.id, id] as const)));
  const ahead: { id: string; steps: Step[]; minutes: number }[] = [];
  const order = rounds.flatMap(({ steps }) => steps);
  for (const step of stepsAhead(order, done, skipped)) {
    const id = roundOf.get(step.id)!;
    if (ahead.at(-1)?.id !== id) ahead.push({ id, steps: [], minutes: 0 });
    const round = ahead.at(-1)!;
    round.steps.push(step);
    round.minutes += step.minutes;
  }
  return ahead;
}
