import { seededRandom } from '../random/index.ts';
import { type Run, breather, quietRun } from '../run/index.ts';
import { PICK_UP_SECONDS } from './minutes.ts';
import { type Step } from './step.ts';

export interface SequenceOptions {
  /** How many things may be begun and unfinished at once. Default 4. */
  openThings?: number;
  /** Wished length of a sitting, minutes. Default 40. */
  sittingMinutes?: number;
  /** Default 1. */
  seed?: number;
  /** Orders that are tried; the best is kept. Default 200. */
  maxIterations?: number;
}

/** One stretch of time at the table. */
export interface Sitting {
  steps: readonly string[];
  minutes: number;
}

export interface Sequence {
  /** Ids of the steps in the order in which they are done. */
  order: readonly string[];
  sittings: readonly Sitting[];
  /** How many times a pencil is picked up. */
  pickUps: number;
  /** Minutes in all, with those for picking up. */
  minutes: number;
  /** No order can have fewer pick-ups than this. */
  lowerBound: number;
}

/**
 * Puts steps into an order with few pick-ups: keep the pencil in hand while anything allowed wants it; else take the
 * pencil that can do most at once, paler first where that is equal. Repeated with some chance in the choices; the
 * best order is kept. The same seed and number of tries give the same order.
 * @throws RangeError when fewer than one thing may be open or a step waits for one that is not there or for itself
 * @throws CancelledError when the run is cancelled
 */
export async function sequence(
  steps: readonly Step[],
  options: SequenceOptions = {},
  run: Run = quietRun,
): Promise<Sequence> {
  const { openThings = 4, sittingMinutes = 40, seed = 1, maxIterations = 200 } = options;
  if (!(openThings >= 1)) throw new RangeError('At least one thing has to be open to be worked on.');
  const breathe = breather(run);
  const random = seededRandom(seed);
  let best: Step[] = [];
  let fewest = Infinity;
  for (let i = 0; i < maxIterations; i++) {
    const order = greedyOrder(steps, openThings, i === 0 ? () => 0.5 : random);
    const count = countPickUps(order);
    if (count < fewest) [best, fewest] = [order, count];
    await breathe((i + 1) / maxIterations, `ordering steps: ${fewest} pick-ups so far`);
  }
  const sittings = cutSittings(best, sittingMinutes);
  return {
    order: best.map((step) => step.id),
    sittings,
    pickUps: steps.length ? fewest : 0,
    minutes: sittings.reduce((sum, sitting) => sum + sitting.minutes, 0),
    lowerBound: lowerBound(steps),
  };
}

function greedyOrder(steps: readonly Step[], openThings: number, random: () => number): Step[] {
  const left = new Set(steps);
  const done = new Set<string>();
  const remaining = new Map<string, number>();
  const begun = new Set<string>();
  for (const step of steps) remaining.set(step.thingId, (remaining.get(step.thingId) ?? 0) + 1);
  const order: Step[] = [];
  let inHand: string | null = null;
  while (left.size > 0) {
    const open = [...begun].filter((thing) => remaining.get(thing)! > 0).length;
    const ready = [...left].filter((step) => step.after.every((id) => done.has(id)));
    if (ready.length === 0) throw new RangeError('Some steps wait for each other or for a step that is not there.');
    const allowed = ready.filter(
      (step) => begun.has(step.thingId) || open < openThings || remaining.get(step.thingId) === 1,
    );
    const step = choose(allowed, inHand, begun, random);
    order.push(step);
    left.delete(step);
    done.add(step.id);
    begun.add(step.thingId);
    remaining.set(step.thingId, remaining.get(step.thingId)! - 1);
    inHand = step.pencil;
  }
  return order;
}

function choose(allowed: Step[], inHand: string | null, begun: Set<string>, random: () => number): Step {
  const wanting = new Map<string, Step[]>();
  for (const step of allowed) wanting.set(step.pencil, [...(wanting.get(step.pencil) ?? []), step]);
  const same = inHand === null ? undefined : wanting.get(inHand);
  const pool =
    same ?? [...wanting.values()].reduce((best, group) => (worth(group, random) > worth(best, random) ? group : best));
  // Finish what is open first; then the paler of equals, so that strong colour is not dragged into pale.
  return pool.reduce((best, step) => {
    const opens = Number(!begun.has(step.thingId)) - Number(!begun.has(best.thingId));
    return opens < 0 || (opens === 0 && step.value > best.value) ? step : best;
  });
}

function worth(group: Step[], random: () => number): number {
  return group.length + group[0].value / 1000 + (random() - 0.5) * 2.2;
}

function countPickUps(order: readonly Step[]): number {
  return order.reduce((n, step, i) => n + (i === 0 || order[i - 1].pencil !== step.pencil ? 1 : 0), 0);
}

/**
 * For each pencil, the most times that any one thing comes back to it after another pencil; summed over pencils. No
 * order can do with less, since a thing's own order is fixed.
 */
function lowerBound(steps: readonly Step[]): number {
  const entries = new Map<string, Map<string, number>>();
  const last = new Map<string, string>();
  for (const { thingId, pencil } of steps) {
    if (last.get(thingId) === pencil) continue;
    last.set(thingId, pencil);
    const things = entries.get(pencil) ?? new Map<string, number>();
    things.set(thingId, (things.get(thingId) ?? 0) + 1);
    entries.set(pencil, things);
  }
  return [...entries.values()].reduce((sum, things) => sum + Math.max(...things.values()), 0);
}

/** Cuts at a change of pencil nearest to the wished length. */
function cutSittings(order: readonly Step[], wished: number): Sitting[] {
  const runs: Step[][] = [];
  for (const step of order) {
    const run = runs.at(-1);
    if (run && run[0].pencil === step.pencil) run.push(step);
    else runs.push([step]);
  }
  const sittings: Sitting[] = [];
  let steps: string[] = [];
  let minutes = 0;
  for (const run of runs) {
    const more = run.reduce((sum, step) => sum + step.minutes, 0) + PICK_UP_SECONDS / 60;
    if (steps.length && Math.abs(minutes + more - wished) > Math.abs(minutes - wished)) {
      sittings.push({ steps, minutes });
      steps = [];
      minutes = 0;
    }
    steps = [...steps, ...run.map((step) => step.id)];
    minutes += more;
  }
  return steps.length ? [...sittings, { steps, minutes }] : sittings;
}
