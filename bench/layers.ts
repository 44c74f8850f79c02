import { deltaE2000, labOfHex, oklchOfLab, rgbOfLab } from '../src/core/colour/index.ts';
import { type Pressure, bareGround, layPasses, pencilOptics, whiteBook } from '../src/core/laydown/index.ts';
import { pageTone } from '../src/core/light/index.ts';
import { laydownStrip, renderPreview, toneTables } from '../src/core/preview/index.ts';
import { compileRecipe } from '../src/core/recipe/index.ts';
import { demoPencils } from '../src/demo/index.ts';
import { demoTray, ferryPage } from './ferry.ts';
import { printTable, timed } from './measure.ts';

/** The layer model: its speed, what previews cost, and how the demo pencils behave in it. */
export async function benchLayers(): Promise<void> {
  const ground = bareGround(whiteBook);
  const colours = ['#3d2a22', '#c6913a', '#f3e7b9'];
  const optics = new Map(colours.map((hex) => [hex, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]));
  const six = colours.concat(colours).map((hex) => ({ pencil: optics.get(hex)!, pressure: 'light' as Pressure }));
  const recipe = compileRecipe(
    'blend',
    'base-coat-first',
    { dark: colours[0], mid: colours[1], light: colours[2] },
    { regions: [{ usableWidthMm: 6, areaMm2: 40 }] },
  );
  const page = await ferryPage();
  const tone = pageTone(page, [], { kind: 'ambient' });
  const table = toneTables(recipe.layers, optics, ground, recipe.halfWidthMm).at(-1)!;
  const tables = [null, ...page.regions.map(() => table)];
  const source = { ...page, labels: page.grown, tone, paper: rgbOfLab(labOfHex(whiteBook.tint)), tables };
  const stacks = 2000;
  const rows: [string, () => unknown, string, number][] = [
    ['pencil solved', () => pencilOptics({ masstone: labOfHex('#2b4fa3'), type: 'oil' }), 'pencils a second', 1],
    [
      '6-layer stacks',
      () => {
        for (let i = 0; i < stacks; i++) layPasses(ground, six);
      },
      'stacks a second',
      stacks,
    ],
    [
      'tone tables of one recipe',
      () => toneTables(recipe.layers, optics, ground, recipe.halfWidthMm),
      'recipes a second',
      1,
    ],
    ['tone of the page, soft light', () => pageTone(page, [], { kind: 'ambient' }), 'pixels a second', tone.length],
    [
      'tone of the page, from a side',
      () => pageTone(page, [], { kind: 'direction', azimuthDegrees: 225, heightDegrees: 45 }),
      'pixels a second',
      tone.length,
    ],
    ['preview, every pixel', () => renderPreview(source), 'pixels a second', tone.length],
    [
      'preview, every second pixel',
      () => renderPreview(source, { left: 0, top: 0, width: page.width, height: page.height, step: 2 }),
      'pixels a second',
      tone.length / 4,
    ],
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
  printTable('Demo pencils in the layer model', quality());
}

/** How many demo pencils, or pairs of them, behave as a colourist expects. */
function quality() {
  const ground = bareGround(whiteBook);
  const pencils = demoPencils().map(({ colour, type, opacity }) => ({
    colour,
    optics: pencilOptics({ masstone: labOfHex(colour), type, opacity: opacity ?? undefined }),
  }));
  const tray = demoTray();
  const masstones = pencils.filter(({ colour, optics }) => {
    const full = layPasses(
      ground,
      (['firm', 'firm', 'burnish'] as const).map((pressure) => ({ pencil: optics, pressure })),
    );
    return deltaE2000(full.lab, labOfHex(colour)) < 1.5;
  });
  const near = (low: number, high: number) =>
    tray.filter(({ body }) => oklchOfLab(body).c > 0.08 && oklchOfLab(body).h >= low && oklchOfLab(body).h <= high);
  const pairs = near(245, 275).flatMap((blue) => near(90, 110).map((yellow) => ({ blue, yellow })));
  const greens = pairs.filter(({ blue, yellow }) => {
    const { lab } = layPasses(
      ground,
      [blue, yellow].map(({ optics }) => ({ pencil: optics, pressure: 'light' as const })),
    );
    return oklchOfLab(lab).h >= 110 && oklchOfLab(lab).h <= 170;
  });
  return [
    { what: 'masstone reproduced within 1.5', 'as expected': masstones.length, of: pencils.length },
    { what: 'yellow lightly over blue is green', 'as expected': greens.length, of: pairs.length },
  ];
}
