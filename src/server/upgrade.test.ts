import { cpSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { BenchState, SheetState } from '../contracts/index.ts';
import { readPlan } from '../plan/index.ts';
import { openDatabase } from './db/open-database.ts';
import { commands, sheets } from './db/schema.ts';
import { benchState } from './services/bench.ts';
import { ensureDesk } from './services/desk.ts';
import { listSheets, sheetState } from './services/sheets.ts';
import { SHEET, change, emptyDesk, sheetNow, stepBack, withRegions } from './test/desk.ts';

const STORED = new URL('../plan/test/stored/', import.meta.url);

interface Stored {
  plan: object;
  changes: { label: string; before: Record<string, unknown>; after: Record<string, unknown>; undone: boolean }[];
}

/** A sheet as a desk of an older version left it. */
async function olderDesk({ plan, changes }: Stored) {
  const desk = await emptyDesk();
  await withRegions(desk);
  await desk.db
    .update(sheets)
    .set({ plan: plan as never })
    .where(eq(sheets.id, SHEET));
  await desk.db.insert(commands).values(
    changes.map(({ label, before, after, undone }, i) => ({
      id: `older-${i}`,
      sheetId: SHEET,
      stage: 'sheet',
      label,
      before,
      after,
      undone,
    })),
  );
  await ensureDesk(desk.db);
  return desk;
}

const MIGRATIONS = resolve('src/server/db/migrations');

/** The migrations as they were when the newest had this number, in a folder of their own. */
function migrationsUpTo(number: number, within: string): string {
  const folder = join(within, 'migrations');
  cpSync(MIGRATIONS, folder, { recursive: true });
  const journal = join(folder, 'meta/_journal.json');
  const { entries, ...rest } = JSON.parse(readFileSync(journal, 'utf8')) as { entries: { idx: number }[] };
  writeFileSync(journal, JSON.stringify({ ...rest, entries: entries.filter(({ idx }) => idx <= number) }));
  return folder;
}

const olderStep = (thingId: string, layerId: string) => ({
  id: `${thingId}/${layerId}`,
  thingId,
  layerId,
  pencil: 'pencil-K1',
  regionIds: [1],
  pressure: 'light',
  passes: 1,
  stroke: 'small circles',
  point: 'normal',
  zone: { field: 'tone', from: 0, to: 0.4, softnessMm: 1 },
  halfWidthMm: 2.5,
  purpose: 'Base coat.',
  minutes: 3,
  value: 60,
  after: [],
});
/** An order as it was kept whole, its steps not in turn, before zones knew their way and orders what they left out. */
const OLDER_ORDER = {
  id: 'older-plan',
  planRevision: 3,
  model: 'layers 1',
  openThings: 2,
  steps: [olderStep('thing-roof', 'base'), olderStep('thing-bell', 'shadow'), olderStep('thing-bell', 'base')],
  order: ['thing-bell/base', 'thing-bell/shadow', 'thing-roof/base'],
  sittings: [{ steps: ['thing-bell/base', 'thing-bell/shadow', 'thing-roof/base'], minutes: 9 }],
  pickUps: 1,
  minutes: 9,
  lowerBound: 1,
  pencils: [],
  things: [],
};

describe('a desk of an older version', () => {
  for (const file of readdirSync(STORED)) {
    const stored: Stored = JSON.parse(readFileSync(new URL(file, STORED), 'utf8'));
    it(`with ${file.replace('.json', '').replaceAll('-', ' ')} opens, and every change on it is undone and done again`, async () => {
      const desk = await olderDesk(stored);
      const opened = SheetState.parse(await sheetNow(desk));
      const done = stored.changes.filter(({ undone }) => !undone).map(({ label }) => label);
      for (const label of [...done].reverse()) {
        expect((await sheetNow(desk)).undo).to.equal(label);
        await stepBack(desk, 'undo');
      }
      expect((await sheetNow(desk)).undo).to.equal(null);
      for (let k = 0; k < done.length; k++) await stepBack(desk, 'redo');
      const again = await sheetNow(desk);
      expect(again.plan).to.deep.equal(opened.plan);
      expect(again.plan).to.deep.equal({ ...readPlan(stored.plan), regionsFrom: opened.plan.regionsFrom });
    });
  }

  it('is brought up to date once, and worked on from there', async () => {
    const desk = await olderDesk(JSON.parse(readFileSync(new URL('bench.json', STORED), 'utf8')));
    const before = await desk.db.select().from(commands);
    expect(before.every(({ before: older }) => older === null)).to.equal(true);
    await ensureDesk(desk.db);
    expect(await desk.db.select().from(commands)).to.deep.equal(before);
    const { body } = await change(desk, (plan) => (plan.things['thing-bell'].form = 'flat'));
    expect([body.undo, body.redo]).to.deep.equal(['a change', null]);
  });

  it('keeps its regions, its order of steps with its log, and what the shelf shows when its tables are brought up to date', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'older-desk-'));
    try {
      const older = await PGlite.create(join(folder, 'database'));
      await migrate(drizzle({ client: older }), { migrationsFolder: migrationsUpTo(10, folder) });
      const { plan } = JSON.parse(readFileSync(new URL('bench.json', STORED), 'utf8')) as Stored;
      const meta = { from: 'found then', width: 10, height: 10, pixelsPerMm: 1, regions: [{ id: 1 }, { id: 2 }] };
      await older.exec(`
        insert into trays (id, name, origin) values ('my-pencils', 'My pencils', 'own');
        insert into blobs (hash, mime, bytes) values ('a-hash', 'image/png', '');`);
      await older.query(
        `insert into sheets (id, title, origin, tray_id, original_hash, picture_hash, picture_width, picture_height, plan)
         values ('sheet-one', 'A row', 'own', 'my-pencils', 'a-hash', 'a-hash', 10, 10, $1)`,
        [JSON.stringify(plan)],
      );
      await older.query(`insert into region_maps (sheet_id, meta, labels_hash) values ('sheet-one', $1, 'a-hash')`, [
        JSON.stringify(meta),
      ]);
      await older.query(`insert into bench_plans (id, sheet_id, content) values ('older-plan', 'sheet-one', $1)`, [
        JSON.stringify(OLDER_ORDER),
      ]);
      const logged = [
        ['thing-bell/base', 'done'],
        ['thing-bell/shadow', 'part done'],
        ['thing-roof/base', 'skipped'],
        ['thing-bell/base', 'not done after all'],
        ['thing-bell/base', 'done'],
      ];
      for (const [k, [stepId, kind]] of logged.entries()) {
        await older.query(
          `insert into step_log (id, plan_id, step_id, kind, started_at, finished_at, paused_seconds)
           values ($1, 'older-plan', $2, $3, '2026-11-01T19:00:00Z', '2026-11-01T19:03:00Z', 60)`,
          [`entry-${k}`, stepId, kind],
        );
      }
      await older.close();
      const { db, close } = await openDatabase(folder);
      await ensureDesk(db);
      const [card] = await listSheets(db);
      expect(card).to.include({ widthMm: 210, paper: 'white-book', things: 2, regions: 2 });
      expect((await sheetState(db, SHEET)).plan).to.deep.equal({ ...readPlan(plan), regionsFrom: 'found then' });
      const bench = BenchState.parse(await benchState(db, SHEET));
      expect(bench.plan!.order).to.deep.equal(OLDER_ORDER.order);
      expect(bench.plan!.steps.map(({ id }) => id)).to.deep.equal(OLDER_ORDER.steps.map(({ id }) => id));
      expect(bench.plan!.steps[0].zone).to.deep.include({ overMm: 2.5 });
      expect(bench.plan!.sharpenings).to.equal(0);
      expect(bench.done.map(({ id, stepId }) => [id, stepId])).to.deep.equal([['entry-4', 'thing-bell/base']]);
      expect(bench.skipped).to.deep.equal(['thing-roof/base']);
      expect(bench.begun).to.deep.equal({ 'thing-bell/shadow': 2 });
      expect(bench.finished).to.deep.equal([{ thingId: 'thing-bell', layerId: 'base', regionIds: [1] }]);
      await close();
    } finally {
      rmSync(folder, { recursive: true });
    }
  }).timeout(60_000);

  it('shows its other sheets though one plan cannot be read', async () => {
    const desk = await emptyDesk();
    await withRegions(desk);
    await withRegions(desk, { id: 'sheet-torn' });
    await desk.db
      .update(sheets)
      .set({ plan: { torn: true } as never })
      .where(eq(sheets.id, 'sheet-torn'));
    await ensureDesk(desk.db);
    expect((await desk.api.get('/api/sheets').expect(200)).body).to.have.length(2);
    expect((await sheetNow(desk)).id).to.equal(SHEET);
  });
});
