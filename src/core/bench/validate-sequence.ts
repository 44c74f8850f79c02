import { inHand } from './step.ts';
import type { Step } from './schemas.ts';

/**
 * Checks an order of steps from scratch, apart from the code that made it.
 * @param alike sets of ids of like things, which are open as one
 * @returns one sentence for each fault; none when every step stands once, after what it needs, and no more than
 * `openThings` things are begun and unfinished whenever a pencil is put down
 */
export function validateSequence(
  steps: readonly Step[],
  order: readonly string[],
  openThings: number,
  alike: readonly (readonly string[])[] = [],
): string[] {
  const faults: string[] = [];
  const byId = new Map(steps.map((step) => [step.id, step]));
  const left = new Map<string, number>();
  const setOf = new Map(alike.flatMap((set) => set.map((thing) => [thing, set[0]!] as const)));
  const openAs = ({ thingId }: Step) => setOf.get(thingId) ?? thingId;
  for (const step of steps) left.set(openAs(step), (left.get(openAs(step)) ?? 0) + 1);
  const whole = new Map(left);
  const done = new Set<string>();
  for (const [i, id] of order.entries()) {
    const step = byId.get(id);
    if (!step) {
      faults.push(`Step ${id} is not on this page.`);
      continue;
    }
    if (done.has(id)) faults.push(`Step ${id} stands twice.`);
    for (const before of step.after)
      if (!done.has(before)) faults.push(`Step ${id} comes before ${before}, which it needs.`);
    done.add(id);
    left.set(openAs(step), left.get(openAs(step))! - 1);
    const next = byId.get(order[i + 1] ?? '');
    if (next && inHand(next) === inHand(step)) continue;
    const open = [...left].filter(([thing, n]) => n > 0 && n < whole.get(thing)!).length;
    if (open > openThings) faults.push(`After step ${id}, ${open} things are open; at most ${openThings} may be.`);
  }
  for (const step of steps) if (!done.has(step.id)) faults.push(`Step ${step.id} is missing.`);
  return faults;
}
