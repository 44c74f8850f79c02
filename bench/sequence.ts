import { type Step, makeSteps, roundsOf, sequence, validateSequence } from '../src/core/bench/index.ts';
import { proposePalettes } from '../src/core/palette/index.ts';
import { compileRecipe } from '../src/core/recipe/index.ts';
import { whiteBook } from '../src/core/laydown/index.ts';
import { seededRandom } from '../src/core/random/index.ts';
import { DEMO_PAGES } from '../src/demo/index.ts';
import { demoTray, ferryPage, ferrySummary, ferryThings } from './ferry.ts';
import { guessedSteps } from './guessed-steps.ts';
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
  await fewOpen();
  await guessed();
  await soonEnough();
  const steps = await ferrySteps();
  const rows = [];
  for (const openThings of [1, 2, 4, 8, Infinity]) {
    const { warm } = await timed(() => sequence(steps, { openThings, maxIterations: 0 }), 1);
    const first = await sequence(steps, { openThings, maxIterations: 0 });
    const [second, fourth] = [await within(1000, steps, openThings), await within(4000, steps, openThings)];
    rows.push({
      'things open': openThings === Infinity ? 'any' : openThings,
      'thing by thing': inTurn(steps),
      'first order': first.pickUps,
      'its ms': warm,
      'after 1 s': second.pickUps,
      'after 4 s': fourth.pickUps,
      'lower bound': fourth.lowerBound,
      'beside the colouring, s': fourth.seconds,
      sharpenings: fourth.sharpenings,
      'smear, cm2': fourth.smearCm2,
      sittings: fourth.sittings.length,
      faults: validateSequence(steps, fourth.order, openThings, fourth.alike).length,
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
      sums.faults += validateSequence(steps, five.order, things, five.alike).length;
    }
    const mean = (sum: number) => sum / SEEDS.length;
    rows.push({
      things,
      pencils,
      'thing by thing': mean(sums.inTurn),
      greedy: mean(sums.greedy),
      'after 1 s': mean(sums.second),
      'after 5 s': mean(sums.five),
      'lower bound': mean(sums.bound),
      'over the bound, %': 100 * (sums.five / sums.bound - 1),
      faults: sums.faults,
    });
  }
  printTable('Pick-ups on pages made up, any number of things open', rows);
}

/** The fewest pick-ups that any search found for the page of seed 1, in minutes instead of seconds: to be renewed when beaten. */
const BEST_KNOWN: Readonly<Record<number, Readonly<Record<string, number>>>> = {
  50: { 4: 63, 8: 48, any: 43 },
  150: { 4: 138, 8: 101, any: 68 },
  400: { 4: 261, 8: 188, any: 94 },
};

/** Some numbers of things open, on pages made up, beside the best that is known. */
async function fewOpen(): Promise<void> {
  const rows = [];
  for (const [things, pencils] of PAGES.slice(1)) {
    const steps = pageOfSteps(things, pencils, 1);
    for (const openThings of [4, 8, Infinity]) {
      const found = await within(5000, steps, openThings);
      const name = openThings === Infinity ? 'any' : openThings;
      const known = BEST_KNOWN[things]![name]!;
      rows.push({
        things,
        'open at once': name,
        'after 5 s': found.pickUps,
        'best known': known,
        'over it, %': 100 * (found.pickUps / known - 1),
        'lower bound': found.lowerBound,
        faults: validateSequence(steps, found.order, Math.max(openThings, found.mostOpen), found.alike).length,
      });
    }
  }
  printTable('Pick-ups on pages made up, beside the best that is known', rows);
}

/** The sheets of the booklet as a stranger's page: all things guessed. */
async function guessed(): Promise<void> {
  const rows = [];
  for (const { id } of DEMO_PAGES) {
    const steps = await guessedSteps(id);
    for (const openThings of [4, 8, Infinity]) {
      const found = await within(4000, steps, openThings);
      const minutes = found.sittings.map((sitting) => sitting.minutes).sort((p, q) => p - q);
      const stepOf = new Map(steps.map((step) => [step.id, step]));
      const rounds = found.sittings.flatMap((sitting) => roundsOf(sitting.steps.map((id) => stepOf.get(id)!)));
      const lasting = rounds.map((round) => round.minutes).sort((p, q) => p - q);
      rows.push({
        sheet: id,
        'open at once': openThings === Infinity ? 'any' : openThings,
        things: new Set(steps.map(({ thingId }) => thingId)).size,
        'layers of things': steps.length,
        steps: rounds.length,
        'middle step, min': lasting[Math.floor(lasting.length / 2)]!,
        'steps under 1 min': lasting.filter((each) => each < 1).length,
        'sets of like things': found.alike.length,
        'pick-ups': found.pickUps,
        'lower bound': found.lowerBound,
        'longest sitting, min': minutes.at(-1)!,
        faults: validateSequence(steps, found.order, Math.max(openThings, found.mostOpen), found.alike).length,
      });
    }
  }
  printTable('Sheets of the booklet with guessed things, after 4 s', rows);
}

/** Whether a second is enough: the cost of an order after 1 s beside that after a minute, and how soon a cancel is heard. */
async function soonEnough(): Promise<void> {
  const rows = [];
  for (const [things, pencils] of [PAGES[2]]) {
    for (const openThings of [4, things]) {
      const steps = placed(pageOfSteps(things, pencils, 1));
      const [second, minute] = [await within(1000, steps, openThings), await within(60_000, steps, openThings)];
      rows.push({
        things,
        'things open': openThings,
        'first order, ms': await firstOrder(steps, openThings),
        'after 1 s': second.cost,
        'after 60 s': minute.cost,
        'more, %': 100 * (second.cost / minute.cost - 1),
        'cancel heard after, ms': await cancelHeard(steps, openThings),
      });
    }
  }
  printTable('Seconds beside the colouring after 1 s and after 60 s, with places on the page', rows);
}

/** How long it takes until there is an order at all, ms. */
async function firstOrder(steps: readonly Step[], openThings: number): Promise<number> {
  const began = performance.now();
  let first = Infinity;
  const run = {
    cancelled: () => first < Infinity,
    progress: (_share: number, doing: string) => {
      if (doing.includes('so far')) first = Math.min(first, performance.now() - began);
    },
    now: () => performance.now(),
  };
  await sequence(steps, { openThings, maxIterations: ENDLESS }, run).catch(() => undefined);
  return first;
}

/** The longest of some waits from a cancel to the end of the search, ms. */
async function cancelHeard(steps: readonly Step[], openThings: number): Promise<number> {
  let longest = 0;
  for (const after of [150, 400, 700]) {
    let at = 0;
    const run = {
      cancelled: () => at > 0,
      progress: () => undefined,
      now: () => performance.now(),
    };
    setTimeout(() => (at = performance.now()), after);
    await sequence(steps, { openThings, maxIterations: ENDLESS }, run).catch(() => undefined);
    longest = Math.max(longest, performance.now() - at);
  }
  return longest;
}

/** The same steps with each thing somewhere on a page. */
function placed(steps: readonly Step[]): Step[] {
  const random = seededRandom(3);
  const boxes = new Map<string, NonNullable<Step['box']>>();
  return steps.map((step) => {
    const [left, top] = [180 * random(), 260 * random()];
    const box = boxes.get(step.thingId) ?? { left, top, right: left + 12, bottom: top + 12 };
    boxes.set(step.thingId, box);
    return { ...step, box, coveredMm2: 80, wear: 0.3 };
  });
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
  return makeSteps(planned, { valueOf: (id) => tray.find((pencil) => pencil.id === id)!.body[0] });
}
