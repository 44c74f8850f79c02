import { labOfHex, wheelById } from '../src/core/colour/index.ts';
import { whiteBook } from '../src/core/laydown/index.ts';
import {
  FREE_MOOD,
  FamilyBook,
  Objective,
  type PageSummary,
  type Problem,
  SCHEMES,
  type Wishes,
  compileProblem,
  greedy,
  handsOf,
  plotsFor,
  proposePalettes,
} from '../src/core/palette/index.ts';
import { seededRandom } from '../src/core/random/index.ts';
import { quietRun } from '../src/core/run/index.ts';
import { DEMO_PAGES } from '../src/demo/index.ts';
import { demoTray, sheetSummary } from './ferry.ts';
import { printTable } from './measure.ts';

const WISHES: Wishes = { anchor: 60, scheme: 'split-complementary' };
const SHORT_MS = 2000;
const LONG_MS = Number(process.env.LONG_MS ?? 60_000);
const MADE_UP = 20;
const live = { ...quietRun, now: () => performance.now() };

/** Palettes from the demo tray: how soon, and how good against random, greedy and a long run. */
export async function benchPalette(): Promise<void> {
  const demo = await Promise.all(
    DEMO_PAGES.map(async ({ id, title }) => ({ name: title, page: await sheetSummary(id) })),
  );
  const madeUp = Array.from({ length: MADE_UP }, (_, i) => ({ name: `made up ${i + 1}`, page: madeUpPage(i + 1) }));
  await howSoon([...demo, { name: 'made up, 40 things', page: madeUpPage(99, 40) }]);
  await everyScheme(demo[0].page);
  await howGood([...demo, ...madeUp]);
}

/** Time to the first proposal on a tray just laid, and what stands after two seconds. */
async function howSoon(pages: readonly { name: string; page: PageSummary }[]): Promise<void> {
  const rows = [];
  for (const { name, page } of pages) {
    const tray = demoTray();
    const began = performance.now();
    let first = 0;
    const found = () => void (first ||= performance.now() - began);
    const proposals = await proposePalettes(
      page,
      tray,
      whiteBook,
      WISHES,
      { deadlineMs: SHORT_MS, moves: 1e9, found },
      live,
    );
    rows.push({
      page: name,
      things: page.things.length,
      'first, ms': first,
      'all, ms': performance.now() - began,
      proposals: proposals.length,
      ...Object.fromEntries(proposals[0].scores.map((score) => [score.name, score.score])),
      pencils: proposals[0].pencils,
    });
  }
  printTable(
    `Palettes from ${demoTray().length} pencils, cold: first proposal, and scores of the best after 2 s`,
    rows,
  );
}

async function everyScheme(page: PageSummary): Promise<void> {
  const tray = demoTray();
  const rows = [];
  for (const { id, name } of SCHEMES) {
    const began = performance.now();
    const proposals = await proposePalettes(page, tray, whiteBook, { anchor: 60, scheme: id });
    const [{ objective, pencils, scores }] = proposals;
    const shown = Object.fromEntries(scores.map((score) => [score.id, score.score]));
    rows.push({
      scheme: name,
      ms: performance.now() - began,
      proposals: proposals.length,
      objective,
      pencils,
      ...shown,
    });
  }
  printTable('Every scheme on The Ferry Steps, 60,000 moves a plot', rows);
}

/** The objective, summed over the plots that are shown after two seconds, of random, greedy, those two seconds and a long run. */
async function howGood(pages: readonly { name: string; page: PageSummary }[]): Promise<void> {
  const tray = demoTray();
  const book = new FamilyBook(tray, whiteBook);
  const plots = plotsFor(handsOf(WISHES.scheme, WISHES.anchor), wheelById('painters'), FREE_MOOD);
  // A long run that shows every plot searches every plot to its end.
  const proposalsIn = (page: PageSummary, deadlineMs: number, count: number) =>
    proposePalettes(page, tray, whiteBook, WISHES, { deadlineMs, moves: 1e9, count, seed: 11 }, live);
  const rows = [];
  for (const { name, page } of pages) {
    const shown = await proposalsIn(page, SHORT_MS, 4);
    const everyPlot = await proposalsIn(page, LONG_MS, plots.length);
    const pairs = shown.flatMap((proposal) => {
      const longer = everyPlot.find((other) => other.plot === proposal.plot);
      return longer ? [{ proposal, longer, plot: plots.find(({ says }) => says === proposal.plot)! }] : [];
    });
    const sum = (of: (pair: (typeof pairs)[number]) => number) => pairs.reduce((total, pair) => total + of(pair), 0);
    const problems = new Map(pairs.map(({ plot }) => [plot, compileProblem(page, book, WISHES, plot)]));
    const random = sum(({ plot }) => randomAnswer(problems.get(plot)!));
    const first = sum(({ plot }) => new Objective(problems.get(plot)!, greedy(problems.get(plot)!)).value);
    const short = sum(({ proposal }) => proposal.objective);
    const long = sum(({ longer }) => longer.objective);
    rows.push({
      page: name,
      things: page.things.length,
      random,
      greedy: first,
      '2 s': short,
      [`${LONG_MS / 1000} s`]: long,
      '2 s over long, %': 100 * (short / long - 1),
    });
  }
  const worst = Math.max(...rows.map((row) => row['2 s over long, %'] as number));
  printTable(
    `Objective (lower is better) of the proposals shown after 2 s; worst ${worst.toFixed(1)}% over the long run`,
    rows,
  );
}

function randomAnswer(problem: Problem): number {
  const random = seededRandom(3);
  const tries = 20;
  let total = 0;
  for (let k = 0; k < tries; k++) {
    total += new Objective(
      problem,
      problem.options.map((options) => Math.floor(random() * options.length)),
    ).value;
  }
  return total / tries;
}

/** A page that nobody drew: things of all sizes at random places, each bordering on the nearest. */
export function madeUpPage(seed: number, count?: number): PageSummary {
  const random = seededRandom(1000 + seed);
  const n = count ?? 8 + Math.floor(70 * random());
  const naturals = ['#6d8a3c', '#c8962e', '#8a5a3c', '#4f6bb0'];
  const things = Array.from({ length: n }, (_, i) => ({
    id: `thing-${i}`,
    name: `Thing ${i}`,
    areaMm2: 20 * Math.exp(5 * random()),
    widthMm: Math.exp(3.4 * random()),
    at: { x: random(), y: random() },
    focus: i === 0,
    natural: random() < 0.2 ? labOfHex(naturals[Math.floor(naturals.length * random())]) : null,
    laid: null,
    alike: random() < 0.15 ? `kind ${Math.floor(3 * random())}` : null,
  }));
  const borders = things.flatMap(({ id, at }, i) =>
    things
      .slice(0, i)
      .map((other) => ({ other, away: Math.hypot(other.at.x - at.x, other.at.y - at.y) }))
      .sort((p, q) => p.away - q.away)
      .slice(0, 3)
      .map(({ other }) => ({ a: other.id, b: id, lengthMm: 5 + 60 * random() })),
  );
  return { things, borders };
}
