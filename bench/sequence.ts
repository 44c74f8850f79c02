import { type Step, makeSteps, sequence, validateSequence } from '../src/core/bench/index.ts';
import { proposePalettes } from '../src/core/palette/index.ts';
import { compileRecipe } from '../src/core/recipe/index.ts';
import { whiteBook } from '../src/core/laydown/index.ts';
import { demoTray, ferryPage, ferrySummary, ferryThings } from './ferry.ts';
import { printTable, timed } from './measure.ts';
import { pageOfSteps } from './pages-of-steps.ts';

/** Pages made up: things and pencils. */
const PAGES = [
  [10, 12],
  [50, 24],
  [150, 36],
  [400, 48],
] as const;
const SEEDS = [1, 2, 3];
/** More rounds than a deadline leaves time for. */
const ENDLESS = 1_000_000;

/** Pick-ups of orders: thing by thing, as the sequencer finds them in so much time, and the least that any order needs. */
export async function benchSequence(): Promise<void> {
  await madeUp();
  const steps = await ferrySteps();
  const rows = [];
  for (const openThings of [1, 2, 4, 8, 50]) {
    const { warm } = await timed(() => sequence(steps, { openThings, maxIterations: 0 }), 1);
    const first = await sequence(steps, { openThings, maxIterations: 0 });
    const [second, fourth] = [await within(1000, steps, openThings), await within(4000, steps, openThings)];
    rows.push({
      'things open': openThings,
      'thing by thing': inTurn(steps),
      'first order': first.pickUps,
      'its ms': warm,
      'after 1 s': second.pickUps,
      'after 4 s': fourth.pickUps,
      'lower bound': fourth.lowerBound,
      sittings: fourth.sittings.length,
      faults: validateSequence(steps, fourth.order, openThings).length,
    });
  }
  printTable(`Pick-ups for the ${steps.length} steps of The Ferry Steps`, rows);
}

/** Any number of things open, on pages made up; the means of some pages each. */
async function madeUp(): Promise<void> {
  const rows = [];
  for (const [things, pencils] of PAGES) {
    const sums = { inTurn: 0, greedy: 0, second: 0, five: 0, bound: 0, faults: 0 };
    for (const seed of SEEDS) {
      const steps = pageOfSteps(things, pencils, seed);
      const five = await within(5000, steps, things);
      sums.inTurn += inTurn(steps);
      sums.greedy += (await sequence(steps, { openThings: things, maxIterations: 0 })).pickUps;
      sums.second += (await within(1000, steps, things)).pickUps;
      sums.five += five.pickUps;
      sums.bound += five.lowerBound;
      sums.faults += validateSequence(steps, five.order, things).length;
    }
    const mean = (sum: number) => sum / SEEDS.length;
    rows.push({
      ...{ things, pencils, 'thing by thing': mean(sums.inTurn), greedy: mean(sums.greedy) },
      ...{ 'after 1 s': mean(sums.second), 'after 5 s': mean(sums.five), 'lower bound': mean(sums.bound) },
      ...{ 'over the bound, %': 100 * (sums.five / sums.bound - 1), faults: sums.faults },
    });
  }
  printTable('Pick-ups on pages made up, any number of things open', rows);
}

function within(deadlineMs: number, steps: readonly Step[], openThings: number) {
  const run = { cancelled: () => false, progress: () => undefined, now: () => performance.now() };
  return sequence(steps, { openThings, deadlineMs, maxIterations: ENDLESS }, run);
}

function inTurn(steps: readonly Step[]): number {
  return steps.filter((step, i) => i === 0 || steps[i - 1].pencil !== step.pencil).length;
}

async function ferrySteps(): Promise<Step[]> {
  const page = await ferryPage();
  const things = await ferryThings(page);
  const tray = demoTray();
  const [{ parts }] = await proposePalettes(ferrySummary(page, things), tray, whiteBook, {
    anchor: 60,
    scheme: 'complementary',
  });
  const familyOf = new Map(parts.map((part) => [part.thingId, part.family]));
  const planned = things.map(({ id, regions }) => {
    return { id, regions, recipe: compileRecipe('blend', 'base-coat-first', familyOf.get(id)!, { regions }) };
  });
  return makeSteps(planned, (id) => tray.find((pencil) => pencil.id === id)!.body[0]);
}
