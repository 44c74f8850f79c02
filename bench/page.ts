import { findRegions } from '../src/core/lineart/index.ts';
import { type Run } from '../src/core/run/index.ts';
import { ferryGrey, ferryPage, ferryThings } from './ferry.ts';
import { printTable, timed } from './measure.ts';

/** From pixels to regions on The Ferry Steps, stage by stage, and how many regions the key confirms. */
export async function benchPage(): Promise<void> {
  const grey = await ferryGrey();
  const stages: { stage: string; from: number }[] = [];
  const run: Run = {
    cancelled: () => false,
    now: () => performance.now(),
    progress: (_share, stage) => void stages.push({ stage, from: performance.now() }),
  };
  const options = { pixelsPerMm: grey.width / 210 };
  const whole = await timed(() => findRegions(grey, options), 4);
  await findRegions(grey, options, run);
  printTable(`Finding regions: ${grey.width} x ${grey.height} pixels (ms)`, [
    ...stages.slice(0, -1).map(({ stage, from }, i) => ({ stage, cold: '', warm: stages[i + 1].from - from })),
    { stage: 'all', ...whole },
  ]);
  const page = await ferryPage();
  const things = await ferryThings(page);
  const named = things.reduce((sum, thing) => sum + thing.regions.length, 0);
  printTable('What is found on The Ferry Steps', [
    { what: 'regions', count: page.regions.length },
    { what: 'of them in a thing of the key', count: named },
    { what: 'at least 0.5 mm in radius', count: page.regions.filter((region) => region.usableWidthMm >= 1).length },
    { what: 'flecks left out', count: page.doubts.length },
    { what: 'shared borders', count: page.neighbours.length },
  ]);
}
