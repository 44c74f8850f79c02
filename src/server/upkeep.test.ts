import { expect } from 'chai';
import { eq, sql } from 'drizzle-orm';
import { newThing } from '../contracts/index.ts';
import { addThing } from '../plan/index.ts';
import { blobs, commands, regionMaps, sheets } from './db/schema.ts';
import { clearUnused, keepHouse, whenQuiet } from './services/upkeep.ts';
import {
  type Desk,
  SHEET,
  change,
  emptyDesk,
  foundIn,
  sendRegions,
  sheetNow,
  stepBack,
  withRegions,
} from './test/desk.ts';

/** Finds the regions of a grid anew after a change, with an index of its own each time. */
async function findAnew(desk: Desk, png: Buffer, from: string) {
  const { meta, packed } = await foundIn(png, 10, from);
  // The index says the same; packed with a note it is other bytes.
  const noted = Buffer.concat([
    packed.subarray(0, 3),
    Buffer.from([16]),
    packed.subarray(4, 10),
    Buffer.from(`${from}\0`),
    packed.subarray(10),
  ]);
  await sendRegions(desk, { meta, packed: noted }).expect(200);
}

const palest = (palestInk: number) => (plan: { finding: { palestInk: number } }) =>
  void (plan.finding.palestInk = palestInk);

describe('a desk that is kept in order', () => {
  it('keeps every raster that undo can come back to, and clears those that it cannot', async () => {
    const desk = await emptyDesk();
    const { png } = await withRegions(desk);
    for (const k of [1, 2, 3]) {
      await change(desk, palest(k / 10));
      await findAnew(desk, png, `found with ${k}`);
    }
    expect(await clearUnused(desk.db)).to.deep.equal({ changes: 0, regionMaps: 0, blobs: 0 });
    expect(await desk.db.select().from(regionMaps)).to.have.length(4);
    // Two steps back and something else: the last two can never be had again.
    await stepBack(desk, 'undo');
    await stepBack(desk, 'undo');
    await change(desk, palest(0.9));
    expect(await clearUnused(desk.db)).to.deep.equal({ changes: 0, regionMaps: 2, blobs: 2 });
    const { plan } = await stepBack(desk, 'undo');
    expect(plan.regionsFrom).to.equal('found with 1');
    await stepBack(desk, 'undo');
    await desk.api.get(`/api/sheets/${SHEET}/page-index`).expect(200);
  });

  it('forgets the oldest changes once undo has grown too large, and goes on undoing the rest', async () => {
    const desk = await emptyDesk();
    await withRegions(desk);
    for (let k = 1; k <= 20; k++) await change(desk, palest(k / 20));
    const [{ bytes }] = await desk.db
      .select({ bytes: sql<number>`sum(pg_column_size(patches) + pg_column_size(inverse))::int` })
      .from(commands);
    expect((await clearUnused(desk.db, bytes / 2)).changes).to.be.within(9, 11);
    const left = (await desk.db.select().from(commands)).length;
    for (let k = 0; k < left; k++) await stepBack(desk, 'undo');
    expect((await sheetNow(desk)).undo).to.equal(null);
    expect((await sheetNow(desk)).plan.finding.palestInk).to.be.closeTo((20 - left) / 20, 1e-9);
  });

  it('clears the pictures of a sheet that is gone for good, and no other', async () => {
    const desk = await emptyDesk();
    await withRegions(desk);
    const before = (await desk.db.select().from(blobs)).length;
    await withRegions(desk, { id: 'sheet-gone', columns: 4, rows: 3 });
    await desk.db.delete(sheets).where(eq(sheets.id, 'sheet-gone'));
    await keepHouse(desk.db);
    expect((await desk.db.select({ hash: blobs.hash }).from(blobs)).length).to.equal(before);
  }).timeout(60_000);

  it('gives the room back that changes took', async () => {
    const desk = await emptyDesk();
    await withRegions(desk, { columns: 12, rows: 12 });
    await change(desk, (plan) => {
      for (let id = 1; id <= 144; id++)
        addThing(plan, newThing({ id: `thing-${id}`, name: `Cell ${id}`, regionIds: [id] }));
    });
    for (let k = 1; k <= 100; k++) await change(desk, palest((k % 20) / 20));
    const size = async () => {
      const { rows } = await desk.db.execute(sql`select pg_total_relation_size('sheets')::int as bytes`);
      return Number(rows[0]!.bytes);
    };
    const before = await size();
    await keepHouse(desk.db);
    expect(await size()).to.be.below(0.7 * before);
  }).timeout(60_000);

  it('does so once it has been quiet for a while and something was changed, not while it is worked on', async () => {
    const desk = await emptyDesk();
    await withRegions(desk);
    await desk.db.insert(blobs).values({ hash: 'unused', mime: 'image/png', bytes: new Uint8Array(1) });
    const faults: Error[] = [];
    const house = whenQuiet(desk.db, (fault) => faults.push(fault), 400);
    const isThere = async () => (await desk.db.select().from(blobs).where(eq(blobs.hash, 'unused'))).length > 0;
    for (let k = 0; k < 4; k++) {
      await new Promise((resolve) => setTimeout(resolve, 150));
      house.onRequest(false);
      expect(await isThere()).to.equal(true);
    }
    const end = Date.now() + 20_000;
    while ((await isThere()) && Date.now() < end) await new Promise((resolve) => setTimeout(resolve, 50));
    expect(await isThere()).to.equal(false);
    expect(faults).to.deep.equal([]);
    house.stop();
  }).timeout(60_000);
});
