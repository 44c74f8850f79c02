import { type Step, makeSteps, sequence, validateSequence } from '../src/core/bench/index.ts';
import { proposePalettes } from '../src/core/palette/index.ts';
import { compileRecipe } from '../src/core/recipe/index.ts';
import { whiteBook } from '../src/core/laydown/index.ts';
import { demoTray, ferryPage, ferrySummary, ferryThings } from './ferry.ts';
import { printTable, timed } from './measure.ts';

/** Pick-ups on The Ferry Steps: thing by thing, as the sequencer orders them, and the least that any order needs. */
export async function benchSequence(): Promise<void> {
  const steps = await ferrySteps();
  const inTurn = steps.filter((step, i) => i === 0 || steps[i - 1].pencil !== step.pencil).length;
  const rows = [];
  for (const openThings of [1, 2, 4, 8, 50]) {
    const { warm } = await timed(() => sequence(steps, { openThings }), 1);
    const once = await sequence(steps, { openThings, maxIterations: 1 });
    const best = await sequence(steps, { openThings });
    rows.push({
      'things open': openThings,
      'thing by thing': inTurn,
      'first order': once.pickUps,
      'best of 200': best.pickUps,
      'lower bound': best.lowerBound,
      faults: validateSequence(steps, best.order, openThings).length,
      ms: warm,
    });
  }
  printTable(`Pick-ups for ${steps.length} steps`, rows);
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
