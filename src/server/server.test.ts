import { gunzipSync, gzipSync } from 'node:zlib';
import { expect } from 'chai';
import sharp from 'sharp';
import { type RegionsMeta, type Thing, SheetState, newThing } from '../contracts/index.ts';
import { PageIndex } from '../core/lineart/index.ts';
import { keepBlob } from './db/blobs.ts';
import { blobs, commands, regionMaps, sheets } from './db/schema.ts';
import {
  type PlanEdit,
  addThing,
  decide,
  decideThing,
  frontToBack,
  moveThing,
  sayOfRegions,
  thingsOf,
} from '../plan/index.ts';
import {
  SHEET,
  bringIn,
  change,
  commandOn,
  emptyDesk,
  foundIn,
  gridPng,
  oil as pencil,
  sendRegions,
  sheetNow,
  stepBack,
  withRegions,
} from './test/desk.ts';

const thing = (id: string, name: string, regionIds: number[]) => newThing({ id, name, regionIds });

/** Puts things in the place of all that are there. */
const things =
  (...all: Thing[]): PlanEdit =>
  (plan) =>
    Object.assign(plan, { things: frontToBack(all) });

describe('bringing a page in', () => {
  it('keeps the original, makes a working picture and starts with "My pencils"', async () => {
    const desk = await emptyDesk();
    const { status, body } = await bringIn(desk, await gridPng(3, 2));
    expect(status).to.equal(200);
    const sheet = SheetState.parse(body);
    expect(sheet).to.include({ title: 'A grid', origin: 'own', trayId: 'my-pencils', revision: 0 });
    expect(sheet.plan.regionsFrom).to.equal(null);
    expect(sheet.plan.page.widthMm / sheet.plan.page.heightMm).to.be.closeTo(264 / 204, 0.02);
    const picture = await desk.api.get(`/api/sheets/${SHEET}/picture/${sheet.picture.hash}`);
    expect((await sharp(picture.body).metadata()).width).to.equal(264);
    const colours = await desk.api.get(`/api/sheets/${SHEET}/colours/${sheet.coloursHash}`).expect(200);
    expect((await sharp(colours.body).metadata()).width).to.equal(132);
    await desk.api.get(`/api/sheets/${SHEET}/colours/another`).expect(404);
    expect(await desk.db.select({ hash: blobs.hash }).from(blobs)).to.have.length(3);
  });

  it('reads the size that a scan states', async () => {
    const desk = await emptyDesk();
    const scan = await sharp(await gridPng(10, 10))
      .withMetadata({ density: 300 })
      .jpeg()
      .toBuffer();
    expect((await bringIn(desk, scan)).body.plan.page).to.include({ widthMm: 58, heightMm: 58 });
  });

  it('draws an SVG at a working size', async () => {
    const desk = await emptyDesk();
    const drawing =
      '<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="50mm" viewBox="0 0 100 50"><rect x="10" y="10" width="80" height="30" fill="none" stroke="#000"/></svg>';
    const { body } = await bringIn(desk, Buffer.from(drawing));
    expect(body.picture.width).to.be.within(2300, 2480);
    expect(body.picture.width / body.picture.height).to.be.closeTo(2, 0.01);
  });

  it('sent twice with one id is one sheet', async () => {
    const desk = await emptyDesk();
    await bringIn(desk, await gridPng(3, 2));
    await bringIn(desk, await gridPng(3, 2));
    expect((await desk.api.get('/api/sheets')).body).to.have.length(1);
  });

  const grey = (width: number, height: number, level: number) =>
    sharp({ create: { width, height, channels: 3, background: { r: level, g: level, b: level } } })
      .png()
      .toBuffer();
  const BAD: [string, () => Promise<Buffer>, number, RegExp][] = [
    ['a broken image', async () => (await gridPng(3, 2)).subarray(0, 300), 422, /broken/],
    ['a file that is no picture', async () => Buffer.from('a shopping list'), 415, /not a PNG, JPEG, WebP/],
    ['a picture of 20,000 px a side', () => grey(20_000, 600, 255), 413, /20,000 × 600 pixels; the most that fits/],
    ['a picture of one pixel', () => grey(1, 1, 0), 422, /too small/],
    ['an all-white page', () => grey(400, 400, 255), 422, /blank/],
    ['an all-black page', () => grey(400, 400, 0), 422, /all dark/],
    ['an empty file', async () => Buffer.alloc(0), 422, /No file arrived/],
  ];
  for (const [what, file, status, sentence] of BAD) {
    it(`refuses ${what} with one sentence and stores nothing`, async () => {
      const desk = await emptyDesk();
      const answer = await bringIn(desk, await file());
      expect(answer.status).to.equal(status);
      expect(answer.body.sentence).to.match(sentence);
      expect(await desk.db.select().from(sheets)).to.have.length(0);
      expect(await desk.db.select().from(blobs)).to.have.length(0);
    }).timeout(30_000);
  }
});

describe('the plan of a sheet', () => {
  it('is changed, undone and done again, and says what each would be', async () => {
    const desk = await emptyDesk();
    await withRegions(desk);
    await change(desk, things(thing('thing-a', 'Roof', [1, 2])));
    const { body: changed } = await change(
      desk,
      things(thing('thing-a', 'Roof', [1, 2]), thing('thing-b', 'Wall', [3])),
    );
    expect(changed).to.include({ undo: 'a change', redo: null });
    const undone = await stepBack(desk, 'undo');
    expect(thingsOf(undone.plan).map(({ name }) => name)).to.deep.equal(['Roof']);
    const again = await stepBack(desk, 'redo');
    expect(again.plan).to.deep.equal(changed.plan);
    expect(again.redo).to.equal(null);
  });

  it('forgets what was undone once something else is done', async () => {
    const desk = await emptyDesk();
    await withRegions(desk);
    await change(desk, things(thing('thing-a', 'Roof', [1])));
    await stepBack(desk, 'undo');
    const { body } = await change(desk, (plan) => decide(plan, { light: { kind: 'behind' } }));
    expect(body).to.include({ redo: null });
    expect(await desk.db.select().from(commands)).to.have.length(1);
  });

  it('takes the same change sent twice once', async () => {
    const desk = await emptyDesk();
    await withRegions(desk);
    const command = commandOn(await sheetNow(desk), things(thing('thing-a', 'Roof', [1])));
    const send = () => desk.api.post(`/api/sheets/${SHEET}/commands`).send(command);
    const first = await send();
    const second = await send();
    expect([second.status, second.body.revision]).to.deep.equal([200, first.body.revision]);
  });

  it('takes changes that two devices make in different places, however old the plan is that each was made against', async () => {
    const desk = await emptyDesk();
    await withRegions(desk);
    await change(desk, things(thing('thing-a', 'Roof', [1]), thing('thing-b', 'Wall', [2])));
    const seen = await sheetNow(desk);
    const send = (edit: PlanEdit) => desk.api.post(`/api/sheets/${SHEET}/commands`).send(commandOn(seen, edit));
    const edits: PlanEdit[] = [
      (plan) => decideThing(plan, 'thing-a', { form: 'dome' }),
      (plan) => decideThing(plan, 'thing-a', { material: 'wood' }),
      (plan) => moveThing(plan, 'thing-b', 'thing-a'),
      (plan) => addThing(plan, thing('thing-c', 'Sky', [3])),
      (plan) => decide(plan, { light: { kind: 'behind' } }),
      (plan) => sayOfRegions(plan, [4], { use: 'leave white' }),
    ];
    for (const edit of edits) expect((await send(edit)).status).to.equal(200);
    const { plan } = await sheetNow(desk);
    expect(plan.things['thing-a']).to.include({ form: 'dome', material: 'wood' });
    expect(thingsOf(plan).map(({ name }) => name)).to.deep.equal(['Wall', 'Roof', 'Sky']);
    expect(plan.light.kind).to.equal('behind');
    expect(plan.regions).to.deep.equal({ 4: { use: 'leave white' } });
  });

  it('refuses a change of what was changed elsewhere meanwhile, and says what was done here and there', async () => {
    const desk = await emptyDesk();
    await withRegions(desk);
    await change(desk, things(thing('thing-a', 'Roof', [1])));
    const seen = await sheetNow(desk);
    await change(desk, (plan) => decideThing(plan, 'thing-a', { form: 'dome' }));
    const command = { ...commandOn(seen, (plan) => decideThing(plan, 'thing-a', { form: 'cone' })), label: 'a cone' };
    const { status, body } = await desk.api.post(`/api/sheets/${SHEET}/commands`).send(command);
    expect(status).to.equal(409);
    expect(body.sentence).to.contain('changed elsewhere');
    expect(body.conflict).to.deep.equal({ here: 'a cone', there: 'a change' });
    expect((await sheetNow(desk)).plan.things['thing-a'].form).to.equal('dome');
  });

  it('refuses a change that speaks of regions which were found anew meanwhile', async () => {
    const desk = await emptyDesk();
    const { png } = await withRegions(desk);
    const command = commandOn(await sheetNow(desk), things(thing('thing-a', 'Roof', [1])));
    await sendRegions(desk, await foundIn(png, 10, 'found anew')).expect(200);
    const { status, body } = await desk.api.post(`/api/sheets/${SHEET}/commands`).send(command);
    expect([status, body.conflict.there]).to.deep.equal([409, 'the regions found anew']);
  });

  const BROKEN: [string, PlanEdit, RegExp][] = [
    ['a size of 0 mm', (plan) => Object.assign(plan.page, { widthMm: 0, heightMm: 0 }), /at least 20 mm/],
    ['a thing without a name', things(thing('thing-a', '  ', [1])), /Give it a name/],
    ['a region in two things', things(thing('thing-a', 'A', [1]), thing('thing-b', 'B', [1])), /one thing only/],
    [
      'a light from below the page',
      (plan) => (plan.light = { kind: 'direction', azimuthDegrees: 0, heightDegrees: -5 }),
      /not right/,
    ],
    ['a section that there is not', (plan) => Object.assign(plan, { colour: 'red' }), /not right/],
    ['nothing at all', () => undefined, /changes something/],
  ];
  for (const [what, edit, sentence] of BROKEN) {
    it(`refuses ${what} and leaves the sheet as it was`, async () => {
      const desk = await emptyDesk();
      await withRegions(desk);
      const before = await sheetNow(desk);
      const answer = await change(desk, edit);
      expect(answer.status).to.equal(422);
      expect(answer.body.sentence).to.match(sentence);
      expect(await sheetNow(desk)).to.deep.equal(before);
    });
  }
});

describe('the regions of a sheet', () => {
  it('are kept with their index, byte by byte', async () => {
    const desk = await emptyDesk();
    const { meta, packed } = await withRegions(desk);
    expect((await desk.api.get(`/api/sheets/${SHEET}/regions`)).body).to.deep.equal(meta);
    const kept = await desk.api.get(`/api/sheets/${SHEET}/page-index`).responseType('blob');
    expect(Buffer.compare(kept.body, packed)).to.equal(0);
  });

  it('that were kept as a raster alone, before there was an index, are read all the same', async () => {
    const desk = await emptyDesk();
    const { meta, packed } = await withRegions(desk);
    const whole = PageIndex.from(new Uint8Array(gunzipSync(packed)).buffer);
    const raster = gzipSync(new Uint8Array(whole.labels.slice().buffer));
    const indexHash = await keepBlob(desk.db, 'application/gzip', raster);
    await desk.db.update(regionMaps).set({ indexHash });
    const kept = await desk.api.get(`/api/sheets/${SHEET}/page-index`).responseType('blob');
    expect(new Uint8Array(gunzipSync(kept.body))).to.deep.equal(new Uint8Array(whole.data));
    expect((await desk.api.get(`/api/sheets/${SHEET}/regions`)).body).to.deep.equal(meta);
  });

  it('found anew leave things with the regions that lie where theirs did', async () => {
    const desk = await emptyDesk();
    const { meta, png } = await withRegions(desk);
    await change(desk, things(thing('thing-a', 'Corner', [6])));
    // The first cell is closed up with ink: every later region moves up by one.
    const cell = meta.regions[0].box;
    const [x, y] = [Math.round(cell.left * 10), Math.round(cell.top * 10)];
    const patch = await sharp({ create: { width: 56, height: 56, channels: 3, background: '#000' } })
      .png()
      .toBuffer();
    const inked = await sharp(png)
      .composite([{ input: patch, left: x, top: y }])
      .png()
      .toBuffer();
    const next = await foundIn(inked, 10, 'inked');
    expect(next.meta.regions).to.have.length(5);
    await sendRegions(desk, next).expect(200);
    expect(thingsOf((await sheetNow(desk)).plan)[0].regionIds).to.deep.equal([5]);
  });

  it('are refused when they cannot be read or do not agree with themselves, and the old ones stay', async () => {
    const desk = await emptyDesk();
    const { meta, packed } = await withRegions(desk);
    const sentence = async (bytes: Buffer, found: object = meta) => {
      const answer = await sendRegions(desk, { meta: found as RegionsMeta, packed: bytes });
      expect(answer.status).to.equal(422);
      return answer.body.sentence;
    };
    const changed = (change: (bytes: Buffer) => Buffer | void) => {
      const bytes = gunzipSync(packed);
      return gzipSync(change(bytes) ?? bytes);
    };
    expect(await sentence(Buffer.from('no gzip'))).to.contain('cannot be read');
    expect(await sentence(changed((bytes) => bytes.subarray(0, 20)))).to.contain('too few bytes');
    expect(await sentence(changed((bytes) => void bytes.writeUInt32LE(7, 0)))).to.contain('are not the regions');
    expect(await sentence(changed((bytes) => void bytes.writeUInt32LE(99, 4)))).to.contain('edition 99');
    expect(await sentence(changed((bytes) => bytes.subarray(0, -8)))).to.contain('cut short');
    expect(await sentence(changed((bytes) => void bytes.writeUInt16LE(40, bytes.length - 2)))).to.contain('agree');
    expect(await sentence(packed, { ...meta, from: '' })).to.contain('not right');
    const other = await foundIn(await gridPng(2, 2), 10);
    expect(await sentence(other.packed)).to.contain('another size');
    const nothing = await desk.api.put(`/api/sheets/${SHEET}/regions`).field('from', 'nothing');
    expect([nothing.status, nothing.body.sentence]).to.deep.equal([422, 'The regions did not arrive.']);
    expect((await desk.api.get(`/api/sheets/${SHEET}/regions`)).body).to.deep.equal(meta);
  });
});

describe('trays', () => {
  it('take new pencils, and those that are there already once', async () => {
    const { api } = await emptyDesk();
    const add = (...codes: string[]) => api.post('/api/trays/my-pencils/pencils').send({ pencils: codes.map(pencil) });
    expect((await add('K1', 'K2')).body).to.deep.equal({ copied: 2, there: 0 });
    expect((await add('K2', 'K3')).body).to.deep.equal({ copied: 1, there: 1 });
    const { body } = await api.get('/api/trays/my-pencils/pencils');
    expect(body.map((each: { code: string }) => each.code)).to.deep.equal(['K1', 'K2', 'K3']);
    expect(body[0]).to.include({ whereabouts: 'here', origin: 'own' });
  });

  it('remember where a pencil is and what it is called', async () => {
    const { api } = await emptyDesk();
    await api.post('/api/trays/my-pencils/pencils').send({ pencils: [pencil('K1')] });
    const { body } = await api
      .patch('/api/trays/my-pencils/pencils/pencil-K1')
      .send({ whereabouts: 'missing', ownName: 'old faithful' });
    expect(body).to.include({ whereabouts: 'missing', ownName: 'old faithful' });
    expect((await api.patch('/api/trays/my-pencils/pencils/pencil-K9').send({ whereabouts: 'here' })).status).to.equal(
      404,
    );
    expect((await api.patch('/api/trays/my-pencils/pencils/pencil-K1').send({ whereabouts: 'lost' })).status).to.equal(
      422,
    );
  });

  it('take changes to a pencil, and to many at once, all or none', async () => {
    const { api } = await emptyDesk();
    await api.post('/api/trays/my-pencils/pencils').send({ pencils: [pencil('K1'), pencil('K2'), pencil('K3')] });
    const one = (edit: object) => api.patch('/api/trays/my-pencils/pencils/pencil-K1').send(edit);
    const change = { type: 'wax', colour: '#123456', opacity: 0.4, leadMm: 81.5, note: 'squeaks', name: 'weed' };
    expect((await one(change)).body).to.include(change);
    expect((await one({ opacity: null, leadMm: null })).body).to.include({ opacity: null, leadMm: null });
    expect((await one({ type: 'crayon' })).body.sentence).to.contain('not one that is known');
    expect((await one({ leadMm: 900 })).body.sentence).to.contain('400 mm');
    const many = (pencilIds: string[], edit: object) =>
      api.patch('/api/trays/my-pencils/pencils').send({ pencilIds, edit });
    const places = ({ body }: { body: { whereabouts: string }[] }) => body.map(({ whereabouts }) => whereabouts);
    expect(places(await many(['pencil-K1', 'pencil-K3'], { whereabouts: 'ordered' }))).to.deep.equal([
      'ordered',
      'here',
      'ordered',
    ]);
    expect((await many(['pencil-K2', 'pencil-K9'], { whereabouts: 'missing' })).status).to.equal(404);
    expect(places(await api.get('/api/trays/my-pencils/pencils'))).to.deep.equal(['ordered', 'here', 'ordered']);
  });

  it('keep what swatches come to, one fit a paper, and refuse pencils of others and papers that are not known', async () => {
    const { api } = await emptyDesk();
    await api.post('/api/trays/my-pencils/pencils').send({ pencils: [pencil('K1')] });
    const own = { laydown: 1.1, scatter: 2, fills: 0.9, masstone: [40, 10, 20], apart: 0.8, doubtful: [] };
    const fit = (pencilId: string, rough = 0.4) => ({
      fit: {
        model: 2,
        atBound: ['firm'],
        rough,
        stray: 0.9,
        tooth: 1.1,
        spread: 0.7,
        slope: 0.8,
        crush: 0.6,
        yuleNielsen: 2.4,
        tinted: 0.3,
        hand: { light: 0.6 },
      },
      pencils: [{ pencilId, fit: own }],
    });
    const put = (paper: string, body: object) => api.put(`/api/trays/my-pencils/fits/${paper}`).send(body);
    await put('white-book', fit('pencil-K1'));
    const { body } = await put('white-book', fit('pencil-K1', 0.5));
    expect(body).to.have.length(1);
    expect(body[0]).to.deep.include({ paper: 'white-book', ...fit('pencil-K1', 0.5) });
    expect((await api.get('/api/trays/my-pencils/fits')).body).to.deep.equal(body);
    expect((await put('white-book', fit('pencil-K9'))).body.sentence).to.contain('not in this tray');
    expect((await put('felt', fit('pencil-K1'))).body.sentence).to.contain('not one that is known');
    expect((await put('white-book', { ...fit('pencil-K1'), fit: {} })).status).to.equal(422);
  });

  it('keep the reading of a patch with another pencil over it, and give all that was read on a paper', async () => {
    const { api } = await emptyDesk();
    await api.post('/api/trays/my-pencils/pencils').send({ pencils: [pencil('K1'), pencil('K2')] });
    const swatch = (id: string, over: string | null, paper = 'white-book') => ({
      id,
      over,
      paper,
      patch: 'medium',
      ground: 'paper',
      lab: [60, 5, 20],
    });
    const add = (body: object) => api.post('/api/trays/my-pencils/pencils/pencil-K1/swatches').send(body);
    await add(swatch('patch-1', null));
    await add(swatch('patch-2', 'pencil-K2'));
    await add(swatch('patch-3', null, 'kraft-card'));
    expect((await add(swatch('patch-4', 'pencil-K7'))).status).to.equal(404);
    const { body } = await api.get('/api/trays/my-pencils/swatches/white-book');
    expect(body.map(({ id, over }: { id: string; over: string | null }) => [id, over])).to.deep.equal([
      ['patch-1', null],
      ['patch-2', 'pencil-K2'],
    ]);
  });

  it('keep what was read of several pencils at once, all or none, and say on which papers each was read', async () => {
    const { api } = await emptyDesk();
    await api.post('/api/trays/my-pencils/pencils').send({ pencils: [pencil('K1'), pencil('K2')] });
    const reading = (code: string, paper: string, over: string | null = null) => ({
      id: `${code}-${paper}-${over}`,
      pencilId: `pencil-${code}`,
      over,
      paper,
      patch: 'medium',
      ground: 'paper',
      lab: [60, 5, 20],
    });
    const add = (...readings: object[]) => api.post('/api/trays/my-pencils/swatches').send({ readings });
    const both = [reading('K1', 'white-book', 'pencil-K2'), reading('K2', 'white-book')];
    expect((await add(...both)).body).to.deep.equal({ kept: 2 });
    expect((await add(...both, reading('K2', 'kraft-card'))).body).to.deep.equal({ kept: 1 });
    expect((await add(reading('K1', 'kraft-card'), reading('K9', 'kraft-card'))).status).to.equal(422);
    expect((await add(reading('K1', 'cardboard'))).body.sentence).to.contain('not one that is known');
    expect((await api.get('/api/trays/my-pencils/read-on')).body).to.deep.equal({
      'pencil-K1': ['white-book'],
      'pencil-K2': ['kraft-card', 'white-book'],
    });
  });

  it('keep the swatch cards that are printed, numbered each for itself, and give them as PDF', async () => {
    const { api } = await emptyDesk();
    await api.post('/api/trays/my-pencils/pencils').send({ pencils: [pencil('K1'), pencil('K2')] });
    const card = (id: string, codes: string[], emptyRows = 0) => ({
      id,
      paper: 'white-book',
      emptyRows,
      pencilIds: codes.map((code) => `pencil-${code}`),
    });
    const add = (body: object) => api.post('/api/trays/my-pencils/cards').send(body);
    await add(card('card-1', ['K2', 'K1']));
    await add(card('card-1', ['K2', 'K1']));
    const { body } = await add(card('card-2', [], 20));
    expect(body.map(({ number, emptyRows }: Record<string, number>) => [number, emptyRows])).to.deep.equal([
      [1, 0],
      [2, 20],
    ]);
    expect((await add(card('card-3', ['K9']))).body.sentence).to.contain('not in this tray');
    expect((await add(card('card-4', []))).status).to.equal(422);
    const print = await api.get('/api/trays/my-pencils/cards/card-2/print').buffer();
    expect(print.headers['content-type']).to.contain('application/pdf');
    const pdf = Buffer.from(print.body).toString('latin1');
    expect(pdf.slice(0, 5)).to.equal('%PDF-');
    expect(pdf.match(/\/Type \/Page\b/g)).to.have.length(2);
    expect((await api.get('/api/trays/my-pencils/cards/card-9/print')).status).to.equal(404);
  });

  it('keep trial patches with what came out of them, in place of what was kept before, and put them away', async () => {
    const { api } = await emptyDesk();
    await api.post('/api/trays/my-pencils/pencils').send({ pencils: [pencil('K1')] });
    const trial = (more: object = {}) => ({
      id: 'trial-1',
      title: 'Under the lamp',
      paper: 'white-book',
      seen: null,
      taught: null,
      steps: [
        { pencil: 'pencil-K1', pressure: 'light' },
        { tool: 'solvent', pressure: 'light' },
      ],
      ...more,
    });
    const keep = (body: object) => api.put('/api/trays/my-pencils/trials').send(body);
    await keep(trial());
    const { body } = await keep(trial({ seen: [60, 5, 20], taught: 'hand' }));
    expect(body).to.have.length(1);
    expect(body[0]).to.deep.include({ seen: [60, 5, 20], taught: 'hand', trayId: 'my-pencils', origin: 'own' });
    expect((await keep(trial({ steps: [] }))).body.sentence).to.equal('Lay something first.');
    expect((await keep(trial({ taught: { pencil: 'pencil-K9' } }))).body.sentence).to.contain('not in this tray');
    expect((await api.delete('/api/trays/my-pencils/trials/trial-1')).body).to.deep.equal([]);
    expect((await keep(trial())).body).to.have.length(1);
  });

  it('take pencils with what was read of them, all or none', async () => {
    const { api } = await emptyDesk();
    const add = (codes: string[], readOf: string[]) =>
      api.post('/api/trays/my-pencils/pencils').send({
        pencils: codes.map(pencil),
        readings: readOf.map((code) => ({
          id: `patch-of-${code}`,
          pencilId: `pencil-${code}`,
          over: null,
          paper: 'white-book',
          patch: 'full',
          ground: 'paper',
          lab: [40, 5, 20],
        })),
      });
    const read = async () => (await api.get('/api/trays/my-pencils/swatches/white-book')).body.length;
    expect((await add(['K1', 'K2'], ['K1', 'K2'])).body).to.deep.equal({ copied: 2, there: 0 });
    expect((await add(['K2', 'K3'], ['K2', 'K3'])).body.sentence).to.contain('lie in this tray already');
    expect((await add(['K4'], ['K9'])).body.sentence).to.contain('none of these pencils');
    expect((await api.get('/api/trays/my-pencils/pencils')).body).to.have.length(2);
    expect(await read()).to.equal(2);
  });

  it('refuse pencils of a type that is not known, and an empty list', async () => {
    const { api } = await emptyDesk();
    const odd = await api
      .post('/api/trays/my-pencils/pencils')
      .send({ pencils: [{ ...pencil('K1'), type: 'crayon' }] });
    expect(odd.body.sentence).to.contain('K1');
    expect((await api.post('/api/trays/my-pencils/pencils').send({ pencils: [] })).body.sentence).to.contain(
      'no pencil to add',
    );
  });
});

describe('kept palettes', () => {
  const palette = {
    id: 'palette-1',
    name: 'Lantern dusk',
    wheel: null,
    pencils: [{ id: null, code: 'K1', name: 'kelp', set: 'Tide', colour: '#4c5a2e' }],
    families: [{ thing: 'Hull', codes: ['K1'] }],
  };

  it('are kept, kept again under the same id, listed the newest first, and put away', async () => {
    const { api } = await emptyDesk();
    expect((await api.get('/api/palettes')).body).to.deep.equal([]);
    await api.put('/api/palettes').send(palette).expect(200);
    await api
      .put('/api/palettes')
      .send({ ...palette, name: 'Dusk' })
      .expect(200);
    const two = (await api.put('/api/palettes').send({ ...palette, id: 'palette-2' })).body as {
      name: string;
      at: string;
    }[];
    expect(two.map(({ name }) => name)).to.deep.equal(['Lantern dusk', 'Dusk']);
    expect(two[0].at >= two[1].at).to.equal(true);
    expect((await api.delete('/api/palettes/palette-2')).body).to.have.length(1);
  });

  it('are refused with a sentence when they hold nothing or what is no colour, and nothing is kept', async () => {
    const { api } = await emptyDesk();
    for (const [bad, sentence] of [
      [{ ...palette, pencils: [] }, 'at least one pencil'],
      [{ ...palette, name: ' ' }, 'Give it a name'],
      [{ ...palette, pencils: [{ ...palette.pencils[0], colour: 'red' }] }, 'six digits'],
    ] as const) {
      const { status, body } = await api.put('/api/palettes').send(bad);
      expect(status).to.equal(422);
      expect(body.sentence).to.contain(sentence);
    }
    expect((await api.get('/api/palettes')).body).to.deep.equal([]);
  });
});

describe('recipe cards', () => {
  const card = {
    id: 'recipe-1',
    name: 'Brass by hand',
    card: {
      effect: 'polished-metal',
      school: 'base-coat-first',
      pencils: 4,
      edits: { layers: { shadow: { pencil: 'family-0', pressure: 'firm', softnessMm: 0.1 } }, without: ['streak'] },
    },
  };

  it('are kept with every change they hold, listed the newest first, and put away', async () => {
    const { api } = await emptyDesk();
    await api.put('/api/recipe-cards').send(card).expect(200);
    const { body } = await api.put('/api/recipe-cards').send({ ...card, id: 'recipe-2', name: 'Bell' });
    expect((body as { name: string }[]).map(({ name }) => name)).to.deep.equal(['Bell', 'Brass by hand']);
    expect(body[1].card).to.deep.equal(card.card);
    expect((await api.delete('/api/recipe-cards/recipe-2')).body).to.have.length(1);
  });

  it('are refused with a sentence when a change cannot be, and nothing is kept', async () => {
    const { api } = await emptyDesk();
    const withShadow = (shadow: object) => ({ ...card, card: { ...card.card, edits: { layers: { shadow } } } });
    for (const [bad, sentence] of [
      [withShadow({ passes: 0 }), 'at least once'],
      [withShadow({ passes: 9 }), 'at most six times'],
      [withShadow({ softnessMm: -1 }), '0 mm or more'],
      [{ ...card, name: '' }, 'Give it a name'],
    ] as const) {
      const { status, body } = await api.put('/api/recipe-cards').send(bad);
      expect(status, sentence).to.equal(422);
      expect(body.sentence).to.contain(sentence);
    }
    expect((await api.get('/api/recipe-cards')).body).to.deep.equal([]);
  });
});

describe('access', () => {
  it('answers this computer only', async () => {
    const { api } = await emptyDesk();
    expect((await api.get('/api/sheets').set('Host', 'example.test')).status).to.equal(403);
    expect((await api.get('/api/sheets').set('Origin', 'http://example.test')).status).to.equal(403);
  });

  it('has a plain sentence for what is not there or cannot be read', async () => {
    const { api } = await emptyDesk();
    expect((await api.get('/api/sheets/nowhere')).body.sentence).to.contain('not on the desk');
    expect((await api.get('/api/nothing')).status).to.equal(404);
    const broken = await api.post('/api/sheets/x/commands').set('Content-Type', 'application/json').send('{');
    expect(broken.body.sentence).to.contain('could not be read');
  });

  it('keeps how the desk looks', async () => {
    const { api } = await emptyDesk();
    expect((await api.get('/api/settings')).body.mode).to.equal('day');
    // Two that are sent at once do not take each other back.
    await Promise.all([
      api.patch('/api/settings').send({ mode: 'evening' }),
      api.patch('/api/settings').send({ text: 125 }),
    ]);
    expect((await api.get('/api/settings')).body).to.deep.equal({ mode: 'evening', text: 125, ground: 'mid grey' });
    expect((await api.patch('/api/settings').send({ mode: 'disco' })).status).to.equal(422);
  });
});
