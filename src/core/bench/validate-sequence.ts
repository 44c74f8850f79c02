import type { Step } from './schemas.ts';

/**
 * Checks an order of steps from scratch, apart from the code that made it.
 * @returns one sentence for each fault; none when every step stands once, after what it needs, and no more than
 * `openThings` things are ever begun and unfinished
 */
export function validateSequence(steps: readonly Step[], order: readonly string[], openThings: number): string[] {
  const faults: string[] = [];
  const byId = new Map(steps.map((step) => [step.id, step]));
  const left = new Map<string, number>();
  for (const step of steps) left.set(step.thingId, (left.get(step.thingId) ?? 0) + 1);
  const whole = new Map(left);
  const done = new Set<string>();
  for (const id of order) {
    const step = byId.get(id);
    if (!step) {
      faults.push(`Step ${id} is not on this page.`);
      continue;
    }
    if (done.has(id)) faults.push(`Step ${id} stands twice.`);
    for (const before of step.after)
      if (!done.has(before)) faults.push(`Step ${id} comes before ${before}, which it needs.`);
    done.add(id);
    left.set(step.thingId, left.get(step.thingId)! - 1);
    const open = [...left].filter(([thing, n]) => n > 0 && n < whole.get(thing)!).length;
    if (open > openThings) faults.push(`At step ${id}, ${open} things are open; at most ${openThings} may be.`);
  }
  for (const step of steps) if (!done.has(step.id)) faults.push(`Step ${step.id} is missing.`);
  return faults;
}
