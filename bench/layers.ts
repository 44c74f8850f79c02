import { labOfHex, rgbOfLab } from '../src/core/colour/index.ts';
import { bareGround, pencilOptics, whiteBook } from '../src/core/laydown/index.ts';
import { coarsePage, pageFields } from '../src/core/light/index.ts';
import { laydownStrip, renderPreview, toneTables } from '../src/core/preview/index.ts';
import { compileRecipe, familyOf } from '../src/core/recipe/index.ts';
import { ferryPage } from './ferry.ts';
import { printTable, timed } from './measure.ts';

/** What previews of layers cost. */
export async function benchLayers(): Promise<void> {
  const ground = bareGround(whiteBook);
  const colours = ['#3d2a22', '#c6913a', '#f3e7b9'];
  const optics = new Map(colours.map((hex) => [hex, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]));
  const recipe = compileRecipe('blend', 'base-coat-first', familyOf(colours), {
    regions: [{ usableWidthMm: 6, areaMm2: 40 }],
  });
  const page = await ferryPage();
  const soft = { main: { kind: 'ambient' }, glows: [] } as const;
  const fields = pageFields(page, [], soft);
  const { tone } = fields;
  const table = toneTables(recipe.layers, optics, ground).at(-1)!;
  const tables = [null, ...page.regions.map(() => table)];
  const source = { ...page, labels: page.grown, fields, paper: rgbOfLab(labOfHex(whiteBook.tint)), tables };
  const side = { main: { kind: 'direction', azimuthDegrees: 225, heightDegrees: 45 }, glows: [] } as const;
  const lantern = { thingId: null, at: { x: 70, y: 80 }, reachMm: 40, strength: 0.8 };
  const rows: [string, () => unknown, string, number][] = [
    ['light of the page, soft', () => pageFields(page, [], soft), 'pixels a second', tone.length],
    ['light of the page, from a side', () => pageFields(page, [], side), 'pixels a second', tone.length],
    [
      'the same with a glow, while it is moved',
      () => pageFields(coarsePage(page, 4), [], { ...side, glows: [lantern] }),
      'pixels a second',
      tone.length / 16,
    ],
    ['preview, every pixel', () => renderPreview(source), 'pixels a second', tone.length],
    [
      'laydown strip 124 x 48',
      () => laydownStrip(optics.get(colours[1])!, whiteBook, { width: 124, height: 48 }),
      'strips a second',
      1,
    ],
  ];
  const timings = [];
  for (const [what, work, unit, count] of rows) {
    const { cold, warm } = await timed(work, 7);
    timings.push({ what, 'cold ms': cold, 'warm ms': warm, 'a second': (1000 * count) / warm, unit });
  }
  printTable('Layers and previews', timings);
}
