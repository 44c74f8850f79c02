import { gzipSync } from 'node:zlib';
import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { type RegionsMeta, emptyPlan, newThing } from '../src/contracts/index.ts';
import { PageIndex } from '../src/core/lineart/index.ts';
import { frontToBack } from '../src/plan/index.ts';
import { type Database } from '../src/server/db/open-database.ts';
import * as schema from '../src/server/db/schema.ts';
import { ensureDesk } from '../src/server/services/desk.ts';
import { storeRegions } from '../src/server/services/regions.ts';
import { editPlan, planColumns, undo } from '../src/server/services/sheets.ts';
import { MY_PENCILS } from '../src/server/services/trays.ts';

const SHEET = 'sheet-one';
/** A4 at 300 dots an inch. */
const WIDTH = 2480;
const HEIGHT = 3508;
const PER_MM = WIDTH / 210;

/** Square cells of a page, some of them joined with the next: regions with their raster. */
function cellsOf(from: string, side: number, joined: (cell: number) => boolean) {
  const across = Math.floor(WIDTH / side);
  const down = Math.floor(HEIGHT / side);
  const ids = new Uint16Array(across * down);
  const regions: RegionsMeta['regions'] = [];
  for (let cell = 0; cell < ids.length; cell++) {
    if (cell % across > 0 && joined(cell)) {
      ids[cell] = ids[cell - 1];
      regions[ids[cell] - 1].areaMm2 += (side / PER_MM) ** 2;
      continue;
    }
    const [x, y] = [((cell % across) + 0.5) * (side / PER_MM), (Math.floor(cell / across) + 0.5) * (side / PER_MM)];
    const half = side / PER_MM / 2;
    ids[cell] = regions.length + 1;
    regions.push({
      id: ids[cell],
      areaMm2: (side / PER_MM) ** 2,
      usableWidthMm: 2 * half,
      axisDegrees: 0,
      lengthMm: 2 * half,
      breadthMm: 2 * half,
      holes: 0,
      shape: 'irregular',
      pole: { x, y },
      centroid: { x, y },
      box: { left: x - half, top: y - half, right: x + half, bottom: y + half },
    });
  }
  const labels = new Uint16Array(WIDTH * HEIGHT);
  for (let y = 0; y < down * side; y++)
    for (let x = 0; x < across * side; x++) {
      // Lines between cells, so that a raster is no larger when packed than a page's.
      if (x % side === 0 || y % side === 0) continue;
      labels[y * WIDTH + x] = ids[Math.floor(y / side) * across + Math.floor(x / side)];
    }
  const meta: RegionsMeta = {
    from,
    width: WIDTH,
    height: HEIGHT,
    pixelsPerMm: PER_MM,
    regions,
    neighbours: [],
    doubts: [],
    alike: [],
    seen: null,
  };
  const index = PageIndex.ofLabels({ ...meta, labels });
  return { meta, packed: gzipSync(new Uint8Array(index.data), { level: 4 }) };
}

/** What it takes to keep things with their regions when those are found anew, on a page as full as pages get. */
export async function benchKeeping(): Promise<void> {
  console.log('\nRegions found anew on an A4 page at 300 dpi, stored by the server (ms; shapes in things)');
  console.log('regions  things  changes   stored  after  aside   undone  after');
  for (const [side, things, changes] of [
    [100, 60, 50],
    [46, 600, 500],
  ] as const) {
    const client = await PGlite.create('memory://');
    const db = drizzle({ client, schema }) as Database;
    await migrate(db, { migrationsFolder: 'src/server/db/migrations' });
    await ensureDesk(db);
    const whole = cellsOf('whole', side, () => false);
    const joined = cellsOf('joined', side, (cell) => cell % 7 === 0);
    const count = whole.meta.regions.length;
    const all = Array.from({ length: things }, (_, t) =>
      newThing({
        id: `thing-${t}`,
        name: `Thing ${t}`,
        regionIds: Array.from({ length: count }, (_, i) => i + 1).filter((id) => id % things === t),
      }),
    );
    await db.insert(schema.blobs).values({ hash: 'a-hash', mime: 'image/png', bytes: new Uint8Array(1) });
    await db.insert(schema.sheets).values({
      id: SHEET,
      title: 'A full page',
      origin: 'own',
      trayId: MY_PENCILS,
      originalHash: 'a-hash',
      pictureHash: 'a-hash',
      pictureWidth: WIDTH,
      pictureHeight: HEIGHT,
      ...planColumns(emptyPlan({ widthMm: 210, heightMm: 297, paper: 'white-book' })),
    });
    await storeRegions(db, SHEET, whole.meta.from, whole.packed);
    const change = (id: string, edit: Parameters<typeof editPlan>[3]) =>
      editPlan(db, SHEET, { id, stage: 'sheet', label: id }, edit);
    await change('gather', (plan) => Object.assign(plan, { things: frontToBack(all) }));
    for (let k = 0; k < changes; k++)
      await change(`change-${k}`, (plan) => (plan.things[`thing-${k % things}`].form = k % 2 ? 'flat' : 'dome'));
    await change('find differently', (plan) => (plan.finding.minRegionMm2 = 2));
    const timed = async (run: () => ReturnType<typeof undo>) => {
      const started = performance.now();
      const { plan, revision } = await run();
      const inThings = Object.values(plan.things).reduce((sum, { regionIds }) => sum + regionIds.length, 0);
      return { ms: performance.now() - started, inThings, aside: plan.aside.shapes.length, revision };
    };
    const stored = await timed(() => storeRegions(db, SHEET, joined.meta.from, joined.packed));
    const back = await timed(() => undo(db, SHEET, stored.revision));
    const row = [count, things, changes, stored.ms, stored.inThings, stored.aside, back.ms, back.inThings];
    console.log(row.map((value, i) => value.toFixed(0).padStart([7, 7, 8, 8, 6, 6, 8, 6][i])).join(' '));
    await client.close();
  }
}
