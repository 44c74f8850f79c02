import { labOfHex, rgbOfLab } from '../src/core/colour/index.ts';
import { bareGround, pencilOptics, whiteBook } from '../src/core/laydown/index.ts';
import { type PageFields, FIELDS, coarsePage, pageFields, shadeOf, sourcesOf } from '../src/core/light/index.ts';
import { type PreviewSource, laydownStrip, renderPreview, toneTables } from '../src/core/preview/index.ts';
import { compileRecipe, familyOf } from '../src/core/recipe/index.ts';
import { DEMO_PAGES } from '../src/demo/index.ts';
import { ferryPage, ferryThings } from './ferry.ts';
import { printTable, timed } from './measure.ts';

const SIDE = { main: { kind: 'direction', azimuthDegrees: 225, heightDegrees: 45 }, glows: [] } as const;
const COLOURS = ['#3d2a22', '#c6913a', '#f3e7b9'];
const optics = new Map(COLOURS.map((hex) => [hex, pencilOptics({ masstone: labOfHex(hex), type: 'wax' })]));

/** What light costs on a whole page, and how near it comes to the formula of a ball. */
export async function benchLight(): Promise<void> {
  const map = await ferryPage();
  const drawn = new Map(DEMO_PAGES[0].things.map((thing) => [thing.name, thing]));
  const plain = ferryThings(map).then((things) =>
    [...things].reverse().map(({ id, name, regions }) => ({
      id,
      regionIds: regions.map((region) => region.id),
      sources: [],
      form: drawn.get(name)?.form ?? 'raised',
      material: drawn.get(name)?.material ?? null,
    })),
  );
  const things = await plain;
  const shown = sourcesOf(things, map, { waterLineMm: 98 });
  const mirrored = things.map((thing) => ({ ...thing, sources: shown.get(thing.id) ?? [] }));
  const soft = { main: { kind: 'ambient' }, glows: [] } as const;
  const lanterns = { thingId: 'paper-lanterns', at: null, reachMm: 14, strength: 0.8 };
  const desk = coarsePage(map, 2);
  const moved = coarsePage(map, 4);
  const rows: [string, () => unknown, number][] = [
    ['soft light, full size', () => pageFields(map, things, soft), map.grown.length],
    ['soft light, as the desk shows it', () => pageFields(desk, things, soft), desk.grown.length],
    ['from a side', () => pageFields(desk, things, SIDE), desk.grown.length],
    ['with every lantern aglow', () => pageFields(desk, things, { ...soft, glows: [lanterns] }), desk.grown.length],
    [
      'with reflections and a water line',
      () => pageFields(desk, mirrored, { ...soft, waterLineMm: 98 }),
      desk.grown.length,
    ],
    ['while a light is moved', () => pageFields(moved, things, { ...SIDE, glows: [lanterns] }), moved.grown.length],
  ];
  const timings = [];
  for (const [what, work, count] of rows) {
    const { cold, warm } = await timed(work, 5);
    timings.push({ what, pixels: count, 'cold ms': cold, 'warm ms': warm, 'a second': 1000 / warm });
  }
  printTable('Light of The Ferry Steps', timings);
  printTable('Shading of a ball of 100 px radius against the formula, 0 to 255', ballAgainstFormula());
}

/** Mean and largest difference of a ball's tones from those of a sphere by the same law of light. */
function ballAgainstFormula() {
  const [side, radius] = [240, 100];
  const inside = (i: number) => Math.hypot((i % side) + 0.5 - side / 2, Math.floor(i / side) + 0.5 - side / 2) < radius;
  const distance = Float32Array.from({ length: side * side }, (_, i) =>
    Math.max(0, radius - Math.hypot((i % side) + 0.5 - side / 2, Math.floor(i / side) + 0.5 - side / 2)),
  );
  const box = { left: 0, top: 0, right: side, bottom: side };
  const page = {
    width: side,
    height: side,
    pixelsPerMm: 1,
    distance,
    grown: Uint16Array.from({ length: side * side }, (_, i) => Number(inside(i))),
    regions: [{ id: 1, box } as never],
  };
  const ball = { id: 'ball', regionIds: [1], form: 'ball', material: null, sources: [] };
  return ([{ kind: 'ambient' }, SIDE.main] as const).map((main) => {
    const { tone } = pageFields(page, [ball], { main, glows: [] });
    const shade = shadeOf(main);
    let [sum, most, n] = [0, 0, 0];
    for (let i = 0; i < tone.length; i++) {
      if (distance[i] < 3) continue;
      const [nx, ny] = [(i % side) + 0.5 - side / 2, Math.floor(i / side) + 0.5 - side / 2].map((way) => way / radius);
      const wanted = 255 * shade(nx, ny, Math.sqrt(Math.max(0, 1 - nx * nx - ny * ny)), 0);
      sum += Math.abs(tone[i] - wanted);
      most = Math.max(most, Math.abs(tone[i] - wanted));
      n++;
    }
    return { light: main.kind, 'mean off': sum / n, 'most off': most };
  });
}

/** What previews of layers cost, scrubbing above all. */
export function benchPreview(): void {
  const ground = bareGround(whiteBook);
  const paper = rgbOfLab(labOfHex(whiteBook.tint));
  const context = { regions: [{ usableWidthMm: 20, areaMm2: 400 }], heightMm: 60 };
  const glow = { reachMm: 30, pencil: COLOURS[1], warm: true };
  const recipes = {
    'a blend': compileRecipe('blend', 'base-coat-first', familyOf(COLOURS), context),
    'a glow on a subject': compileRecipe('lit-by-glow', 'base-coat-first', familyOf(COLOURS), { ...context, glow }),
    'a long gradient in a glow': compileRecipe('long-gradient', 'base-coat-first', familyOf(COLOURS), {
      ...context,
      glow,
    }),
  };
  const side = 1000;
  const even = Uint8Array.from({ length: side * side }, (_, i) => (255 * (i % side)) / side);
  const fields = Object.fromEntries(FIELDS.map((field) => [field, even])) as PageFields;
  // Regions change every 50 pixels, as on a page of 400.
  const labels = Uint16Array.from(
    { length: side * side },
    (_, i) => 1 + Math.floor((i % side) / 50) + 20 * Math.floor(i / side / 50),
  );
  const page = { width: side, height: side, pixelsPerMm: 8, labels, fields, paper, grainMm: whiteBook.grainMm };
  const paint = (tables: PreviewSource['tables']) => renderPreview({ ...page, tables });
  const rows = Object.entries(recipes).map(([what, { layers }]) => {
    let began = performance.now();
    const tables = toneTables(layers, optics, ground);
    const built = performance.now() - began;
    const frames = 60;
    const of = tables.map((table) => [null, ...Array.from({ length: 400 }, () => table)]);
    paint(of[0]);
    began = performance.now();
    for (let k = 0; k < frames; k++) paint(of[k % of.length]);
    const each = (performance.now() - began) / frames;
    // A step at the table: another layer on one region of 400, from the picture before it.
    const layOne = (k: number) => ({ ...page, tables: of[0].map((table, id) => (id === k ? tables[1] : table)) });
    let before = { source: layOne(1), image: renderPreview(layOne(1)) };
    began = performance.now();
    for (let k = 2; k < frames; k++) {
      const source = layOne(k);
      before = { source, image: renderPreview(source, before) };
    }
    const step = (performance.now() - began) / (frames - 2);
    return {
      what,
      fields: tables[0].fields.join(' and '),
      'tables, cold ms': built,
      'a frame, ms': each,
      'frames a second': 1000 / each,
      'a step on one region, ms': step,
    };
  });
  printTable('Scrubbing through layers at 1,000 x 1,000', rows);
  const began = performance.now();
  const strips = 40;
  for (let k = 0; k < strips; k++) laydownStrip(optics.get(COLOURS[1])!, whiteBook, { width: 124, height: 48 });
  printTable('Laydowns of the pencil rest', [
    { what: '124 x 48', 'a strip, ms': (performance.now() - began) / strips },
  ]);
}
