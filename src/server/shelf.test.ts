import { createHash } from 'node:crypto';
import { expect } from 'chai';
import { unzipSync } from 'fflate';
import sharp from 'sharp';
import { Plan, SheetCard, SheetState, newThing } from '../contracts/index.ts';
import { addThing, removeThings, thingsOf } from '../plan/index.ts';
import { SHEET, change, commandOn, emptyDesk, gridPng, withRegions } from './test/desk.ts';

describe('sheets on the shelf', () => {
  let desk: Awaited<ReturnType<typeof emptyDesk>>;
  const cards = async () => SheetCard.array().parse((await desk.api.get('/api/sheets')).body);
  const edit = (change: object) => desk.api.patch(`/api/sheets/${SHEET}`).send(change);

  beforeEach(async () => {
    desk = await emptyDesk();
    await withRegions(desk, { columns: 2, rows: 2, id: SHEET });
    const roof = newThing({ id: 'thing-roof', name: 'Roof', regionIds: [1, 2], material: 'wood' });
    await change(desk, (plan) => addThing(plan, roof));
  });

  it('lie on the shelf when they are brought in', async () => {
    expect((await cards()).map(({ place }) => place)).to.deep.equal(['shelf']);
  });

  it('go into the drawer, are thrown away and come back with everything decided', async () => {
    for (const place of ['drawer', 'bin', 'shelf'] as const) {
      await edit({ place }).expect(200);
      const [card] = await cards();
      expect(card).to.include({ place, things: 1, regions: 4 });
    }
    const sheet = SheetState.parse((await desk.api.get(`/api/sheets/${SHEET}`)).body);
    expect(thingsOf(sheet.plan)[0]).to.include({ name: 'Roof', material: 'wood' });
    expect(sheet.undo).to.equal('a change');
  });

  it('are not worked on by being put by: the order of the shelf stays', async () => {
    const [{ updatedAt }] = await cards();
    await edit({ place: 'drawer' }).expect(200);
    expect((await cards())[0].updatedAt).to.equal(updatedAt);
    await edit({ title: 'Another grid' }).expect(200);
    expect((await cards())[0].updatedAt).to.not.equal(updatedAt);
  });

  it('refuse a place that is none and a name that is empty', async () => {
    await edit({ place: 'attic' }).expect(422);
    await edit({ title: '  ' }).expect(422);
    expect((await cards())[0]).to.include({ title: 'A grid', place: 'shelf' });
  });

  it('are exported as a zip of open formats in which nothing decided is missing', async () => {
    const { body, headers } = await desk.api.get(`/api/sheets/${SHEET}/export`).responseType('blob').expect(200);
    expect(headers['content-disposition']).to.contain('A grid.zip');
    const files = unzipSync(new Uint8Array(body as Buffer));
    const read = (name: string) => new TextDecoder().decode(files[name]);
    const { contents } = JSON.parse(read('contents.json')) as { contents: { name: string; sha256: string }[] };
    expect(contents.map(({ name }) => name)).to.have.members([
      'original.png',
      'page.png',
      'plan.json',
      'record.json',
      'things.csv',
      'regions.csv',
      'regions.svg',
    ]);
    for (const { name, sha256 } of contents)
      expect(createHash('sha256').update(files[name]).digest('hex')).to.equal(sha256);
    const { plan } = JSON.parse(read('plan.json')) as { plan: unknown };
    expect(thingsOf(Plan.parse(plan))[0].name).to.equal('Roof');
    expect(read('things.csv').split('\n')[1]).to.contain('Roof').and.to.contain('1 2');
    expect(read('regions.csv').trim().split('\n')).to.have.length(5);
    const svg = await sharp(files['regions.svg'], { density: 254 }).metadata();
    expect([svg.format, svg.width! > 0]).to.deep.equal(['svg', true]);
    expect(read('regions.svg').match(/<path/g)).to.have.length(4);
    expect(read('regions.svg')).to.contain('<title>Roof</title>');
  });

  it('that are not there cannot be exported', async () => {
    const { body } = await desk.api.get('/api/sheets/no-such-sheet/export').expect(404);
    expect(JSON.stringify(body)).to.contain('not on the desk');
  });

  it('are copied with page, regions and plan, as a sheet of one’s own with nothing to undo', async () => {
    const copy = { id: 'sheet-copy', title: 'A grid, copy' };
    const { body } = await desk.api.post(`/api/sheets/${SHEET}/copies`).send(copy).expect(200);
    const sheet = SheetState.parse(body);
    expect(sheet).to.include({ ...copy, origin: 'own', undo: null });
    expect(thingsOf(sheet.plan)[0].name).to.equal('Roof');
    const [one, other] = await Promise.all(
      [SHEET, copy.id].map(async (id) => (await desk.api.get(`/api/sheets/${id}/regions`)).body),
    );
    expect(other).to.deep.equal(one);
    const emptied = commandOn(sheet, (plan) => removeThings(plan, ['thing-roof']));
    await desk.api.post(`/api/sheets/${copy.id}/commands`).send(emptied).expect(200);
    const first = SheetState.parse((await desk.api.get(`/api/sheets/${SHEET}`)).body);
    expect(thingsOf(first.plan)).to.have.length(1);
  });

  it('are copied once, however often the same copy is asked for', async () => {
    const copy = { id: 'sheet-copy', title: 'A grid, copy' };
    for (let k = 0; k < 2; k++) await desk.api.post(`/api/sheets/${SHEET}/copies`).send(copy).expect(200);
    expect(await cards()).to.have.length(2);
    await desk.api
      .post('/api/sheets/sheet-nowhere/copies')
      .send({ ...copy, id: 'sheet-third' })
      .expect(404);
    expect(await cards()).to.have.length(2);
  });
});

describe('a page taken out of a PDF', () => {
  it('keeps the PDF, and the size that it says', async () => {
    const desk = await emptyDesk();
    const { body } = await desk.api
      .post('/api/sheets')
      .field({ id: 'sheet-pdf', title: 'A page', widthMm: '210', heightMm: '148' })
      .attach('file', await gridPng(3, 2), 'page.png')
      .attach('original', Buffer.from('%PDF-1.7\n…'), 'book.pdf')
      .expect(200);
    expect(SheetState.parse(body).plan.page).to.include({ widthMm: 210, heightMm: 148 });
  });

  it('is refused when what it was taken out of is neither a PDF nor a picture, and nothing is kept', async () => {
    const desk = await emptyDesk();
    await desk.api
      .post('/api/sheets')
      .field({ id: 'sheet-odd', title: 'A page' })
      .attach('file', await gridPng(3, 2), 'page.png')
      .attach('original', Buffer.from('milk, bread'), 'list.txt')
      .expect(415);
    expect((await desk.api.get('/api/sheets')).body).to.deep.equal([]);
  });

  it('is refused at a size that no page has', async () => {
    const desk = await emptyDesk();
    await desk.api
      .post('/api/sheets')
      .field({ id: 'sheet-wall', title: 'A wall', widthMm: '5000', heightMm: '4000' })
      .attach('file', await gridPng(3, 2), 'page.png')
      .expect(422);
  });
});
