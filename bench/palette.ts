import { SCHEMES, proposePalettes } from '../src/core/palette/index.ts';
import { demoTray, ferryPage, ferrySummary, ferryThings } from './ferry.ts';
import { printTable, timed } from './measure.ts';

/** Palettes for The Ferry Steps from the demo tray: time, and the scores of the best proposal of each scheme. */
export async function benchPalette(): Promise<void> {
  const page = await ferryPage();
  const summary = ferrySummary(page, await ferryThings(page));
  const tray = demoTray();
  const rows = [];
  for (const { id, name } of SCHEMES) {
    const wishes = { anchor: 60, scheme: id };
    const { cold, warm } = await timed(() => proposePalettes(summary, tray, wishes), 3);
    const [best] = await proposePalettes(summary, tray, wishes);
    rows.push({ scheme: name, 'cold ms': cold, 'warm ms': warm, ...best.scores, pencils: best.pencils });
  }
  printTable(`Palettes for ${summary.things.length} things from ${tray.length} pencils (scores of 100)`, rows);
}
