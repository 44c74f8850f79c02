import { expect } from 'chai';
import { eq } from 'drizzle-orm';
import {
  BenchState,
  DemoState,
  Notebook,
  PracticeSeries,
  RecordEntry,
  SheetCard,
  SheetState,
  Swatch,
  Tool,
} from '../contracts/index.ts';
import { BEGUN_SHEET, DEMO_PAGES, DEMO_TRAY, demoPencils, demoTools, seedDemo } from '../demo/index.ts';
import { commands, pencils, settings, swatches } from './db/schema.ts';
import { demoDesk } from './services/demo-desk.ts';
import { DEMO_SHEETS, emptyDesk, foundIn, gridPng, sendRegions } from './test/desk.ts';
import { thingsOf } from '../plan/index.ts';

describe('the demo on the desk', function () {
  this.timeout(240_000);
  let desk: Awaited<ReturnType<typeof emptyDesk>>;
  const get = async (path: string) => (await desk.api.get(`/api${path}`)).body;
  const ownPage = async (id: string) =>
    desk.api
      .post('/api/sheets')
      .field('id', id)
      .field('title', 'Mine')
      .attach('file', await gridPng(3, 2), 'page.png');

  before(async () => {
    desk = await emptyDesk();
    expect(await seedDemo(demoDesk(desk.db, DEMO_SHEETS))).to.equal(true);
  });

  it('is laid out once: a second time changes nothing', async () => {
    const before = await get('/sheets');
    expect(await seedDemo(demoDesk(desk.db, DEMO_SHEETS))).to.equal(false);
    expect(await get('/sheets')).to.deep.equal(before);
  });

  it('is the booklet’s four sheets and one that is begun, all marked as demo', async () => {
    const cards = SheetCard.array().parse(await get('/sheets'));
    expect(cards.map(({ title }) => title)).to.have.members([
      ...DEMO_PAGES.map(({ title }) => title),
      'The Ferry Steps, begun',
    ]);
    for (const { origin } of cards) expect(origin).to.equal('demo');
    const state = DemoState.parse(await get('/demo'));
    expect(state).to.deep.equal({ laidOut: true, sheets: 5, pencils: 180, ownSheetsUsingIt: 0 });
  });

  it('names the things of a sheet by its key', async () => {
    const sheet = SheetState.parse(await get('/sheets/ferry-steps'));
    expect(sheet).to.include({ origin: 'demo', trayId: DEMO_TRAY, hasKey: true });
    const picture = (await desk.api.get(`/api/sheets/ferry-steps/picture/${sheet.picture.hash}`)).body;
    const found = await foundIn(picture, sheet.picture.width / 210);
    await sendRegions(desk, found, 'ferry-steps').expect(200);
    const { meta } = found;
    const named = await desk.api.post('/api/sheets/ferry-steps/name-from-key').send({ id: 'by-the-key' });
    const things = thingsOf(SheetState.parse(named.body).plan);
    expect(things.map((each) => each.name)).to.include.members([
      'Dusk sky',
      'Brass bell',
      'Paper lanterns',
      'Roof shingles',
    ]);
    expect(things.find((each) => each.name === 'Roof shingles')!.regionIds.length).to.be.above(35);
    const covered = things.reduce((sum, each) => sum + each.regionIds.length, 0);
    expect(covered / meta.regions.length).to.be.above(0.97);
    expect(await desk.db.select().from(commands).where(eq(commands.sheetId, 'ferry-steps'))).to.have.length(1);
  });

  it('has three finished sittings on the begun sheet, with times, and a good order for what is left', async () => {
    const record = RecordEntry.array().parse(await get(`/sheets/${BEGUN_SHEET}/record`));
    const evenings = new Set(record.map(({ startedAt }) => startedAt.slice(0, 10)));
    expect([...evenings]).to.deep.equal(['2026-05-02', '2026-05-05', '2026-05-09']);
    for (const { startedAt, finishedAt } of record) expect(Date.parse(finishedAt)).to.be.above(Date.parse(startedAt));
    const minutes = record.reduce(
      (sum, { startedAt, finishedAt }) => sum + (Date.parse(finishedAt) - Date.parse(startedAt)) / 60_000,
      0,
    );
    expect(minutes).to.be.within(120, 420);
    const bench = BenchState.parse(await get(`/sheets/${BEGUN_SHEET}/bench`));
    expect(bench.done).to.deep.equal([]);
    expect(bench.plan!.order.length).to.be.above(60);
    const doneThings = new Set(record.map(({ thingId }) => thingId));
    for (const { thingId } of bench.plan!.steps) expect(doneThings.has(thingId)).to.equal(false);
  });

  it('has its notes, a mistake, trial swatches and two series of practice', async () => {
    const { notes, trials } = Notebook.parse(await get(`/sheets/${BEGUN_SHEET}/notebook`));
    expect(notes.filter(({ kind }) => kind === 'mistake').map(({ text }) => text)[0]).to.match(
      /dark blue into the yellow/,
    );
    expect(notes.map(({ at }) => at)).to.deep.equal(notes.map(({ at }) => at).sort());
    expect(trials.length).to.be.at.least(3);
    expect(trials.some(({ kept }) => !kept)).to.equal(true);
    const practice = PracticeSeries.array().parse(await get('/practice'));
    expect(practice.map(({ attempts }) => attempts.length >= 5)).to.deep.equal([true, true]);
  });

  it('has tools beside the pencils, and measured swatches of each pencil on two papers', async () => {
    expect(Tool.array().parse(await get(`/trays/${DEMO_TRAY}/tools`))).to.have.length(demoTools.length);
    const rows = await desk.db.select().from(swatches);
    expect(new Set(rows.map(({ pencilId }) => pencilId)).size).to.equal(demoPencils().length);
    const own = Swatch.array().parse(await get(`/trays/${DEMO_TRAY}/pencils/demo-qs06/swatches`));
    expect(new Set(own.map(({ paper }) => paper))).to.deep.equal(new Set(['white-book', 'cream-sheet']));
    expect(own.filter(({ over }) => over === null)).to.have.length(10);
    expect(own.filter(({ over }) => over === 'demo-qs07')).to.have.length(2);
  });

  it('lends its pencils: whole sets and single ones are copied as one’s own', async () => {
    const ids = demoPencils().map((each) => each.id);
    const copy = (pencilIds: string[]) => desk.api.post('/api/trays/my-pencils/copies').send({ pencilIds });
    expect((await copy(ids)).body).to.deep.equal({ copied: ids.length, there: 0 });
    expect((await copy(ids.slice(0, 1))).body).to.deep.equal({ copied: 0, there: 1 });
    const mine = await get('/trays/my-pencils/pencils');
    expect(new Set(mine.map((each: { origin: string }) => each.origin))).to.deep.equal(new Set(['own']));
    expect(mine.find((each: { code: string }) => each.code === 'QS32').barrel).to.match(/^#/);
  });

  it('keeps what is written down, once, and refuses an empty note', async () => {
    const note = { id: 'note-one', kind: 'note', text: 'The moon stays paper.', at: '2026-06-01T20:00:00Z' };
    await desk.api.post(`/api/sheets/ferry-steps/notes`).send(note);
    const { body } = await desk.api.post(`/api/sheets/ferry-steps/notes`).send(note);
    expect(Notebook.parse(body).notes).to.deep.equal([{ ...note, origin: 'own' }]);
    const empty = await desk.api.post(`/api/sheets/ferry-steps/notes`).send({ ...note, id: 'note-two', text: '  ' });
    expect([empty.status, empty.body.sentence]).to.deep.equal([422, 'Write a few words first.']);
  });

  it('is taken away without touching anything of one’s own, and stays away', async () => {
    await ownPage('own-page');
    const { body } = await desk.api.delete('/api/demo');
    expect(DemoState.parse(body)).to.deep.equal({ laidOut: false, sheets: 0, pencils: 0, ownSheetsUsingIt: 0 });
    expect((await get('/sheets')).map((card: { id: string }) => card.id)).to.deep.equal(['own-page']);
    expect((await get('/trays')).map((tray: { id: string }) => tray.id)).to.deep.equal(['my-pencils']);
    expect(await get('/trays/my-pencils/pencils')).to.have.length(180);
    expect(await get('/practice')).to.deep.equal([]);
    expect(await seedDemo(demoDesk(desk.db, DEMO_SHEETS))).to.equal(false);
  });

  it('is put back whole, and its tray stays as long as a sheet of one’s own is planned with it', async () => {
    const back = DemoState.parse((await desk.api.put('/api/demo')).body);
    expect(back).to.include({ laidOut: true, sheets: 5, pencils: 180 });
    await desk.api.patch('/api/sheets/own-page').send({ trayId: DEMO_TRAY });
    const gone = DemoState.parse((await desk.api.delete('/api/demo')).body);
    expect(gone).to.deep.equal({ laidOut: false, sheets: 0, pencils: 180, ownSheetsUsingIt: 1 });
    expect((await get('/sheets/own-page')).trayId).to.equal(DEMO_TRAY);
    expect(await desk.db.select().from(pencils).where(eq(pencils.trayId, DEMO_TRAY))).to.have.length(180);
  });

  it('gives a desk that had an older edition what it has not, and leaves the rest as it was made', async () => {
    const fresh = await emptyDesk();
    const old = demoDesk(fresh.db, DEMO_SHEETS);
    await old.addTray(DEMO_TRAY, 'Demo tray', demoPencils().slice(0, 80), demoTools.slice(0, 1));
    await fresh.db.insert(settings).values({ key: 'demo laid out', value: 'yes' });
    await fresh.api.patch(`/api/trays/${DEMO_TRAY}/pencils/demo-qs06`).send({ ownName: 'pumpkin' });
    expect(await seedDemo(old)).to.equal(true);
    const tray = (await fresh.api.get(`/api/trays/${DEMO_TRAY}/pencils`)).body;
    expect(tray).to.have.length(180);
    expect(tray.find((each: { code: string }) => each.code === 'QS06').ownName).to.equal('pumpkin');
  });
});
