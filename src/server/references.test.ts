import { expect } from 'chai';
import sharp from 'sharp';
import { Reference } from '../contracts/index.ts';
import { emptyDesk, gridPng } from './test/desk.ts';

const SHEET = 'sheet-pins';

describe('pictures pinned to a sheet', () => {
  let desk: Awaited<ReturnType<typeof emptyDesk>>;
  const at = `/api/sheets/${SHEET}/references`;
  const photo = (width = 300, height = 200) =>
    sharp({ create: { width, height, channels: 3, background: '#3a7f5c' } })
      .withExif({ IFD0: { Model: 'invented' }, IFD3: { GPSLatitude: '54/1 0/1 0/1', GPSLatitudeRef: 'N' } })
      .jpeg()
      .toBuffer();
  const pin = async (fields: Record<string, string>, file?: Buffer) =>
    desk.api
      .post(at)
      .field(fields)
      .attach('file', file ?? (await photo()), 'kettle.jpg');

  beforeEach(async () => {
    desk = await emptyDesk();
    await desk.api
      .post('/api/sheets')
      .field({ id: SHEET, title: 'A grid' })
      .attach('file', await gridPng(2, 2), 'grid.png')
      .expect(200);
  });

  it('hang there with their names, of the sheet or of a thing, the oldest first', async () => {
    await pin({ id: 'pin-one', name: 'old kettle' });
    const { body } = await pin({ id: 'pin-two', name: '', thingId: 'thing-kettle' });
    expect(
      Reference.array()
        .parse(body)
        .map(({ id, name, thingId }) => [id, name, thingId]),
    ).to.deep.equal([
      ['pin-one', 'old kettle', null],
      ['pin-two', '', 'thing-kettle'],
    ]);
  });

  it('keep nothing of where and with what they were taken, and are no larger than they need be', async () => {
    const [{ id, width, height }] = (await pin({ id: 'pin-one', name: 'wide' }, await photo(4000, 1000)))
      .body as Reference[];
    expect([width, height]).to.deep.equal([2000, 500]);
    const { body, headers } = await desk.api.get(`${at}/${id}/picture`).responseType('blob').expect(200);
    expect(headers['content-type']).to.contain('image/jpeg');
    expect((await sharp(body as Buffer).metadata()).exif).to.equal(undefined);
  });

  it('are pinned once, however often the same one is sent', async () => {
    await pin({ id: 'pin-one', name: 'kettle' });
    expect((await pin({ id: 'pin-one', name: 'kettle' })).body).to.have.length(1);
  });

  it('are taken down and pinned again, renamed and moved to a thing', async () => {
    await pin({ id: 'pin-one', name: 'kettle' });
    const edit = async (change: object) =>
      (await desk.api.patch(`${at}/pin-one`).send(change).expect(200)).body as Reference[];
    expect(await edit({ pinned: false })).to.deep.equal([]);
    expect(await edit({ pinned: true })).to.have.length(1);
    const [moved] = await edit({ name: 'tin kettle', thingId: 'thing-kettle' });
    expect(moved).to.include({ name: 'tin kettle', thingId: 'thing-kettle' });
  });

  it('go along with a copy of the sheet, and are taken down there alone', async () => {
    await pin({ id: 'pin-one', name: 'kettle' });
    await desk.api.post(`/api/sheets/${SHEET}/copies`).send({ id: 'sheet-copy', title: 'A copy' }).expect(200);
    const there = '/api/sheets/sheet-copy/references';
    const [copy] = (await desk.api.get(there)).body as Reference[];
    expect(copy.name).to.equal('kettle');
    await desk.api.patch(`${there}/${copy.id}`).send({ pinned: false }).expect(200);
    expect((await desk.api.get(there)).body).to.deep.equal([]);
    expect((await desk.api.get(at)).body).to.have.length(1);
  });

  it('that cannot be read, or that did not arrive, are refused in one sentence and nothing is kept', async () => {
    const broken = await pin({ id: 'pin-one', name: 'x' }, Buffer.from('no picture at all'));
    expect(broken.status).to.equal(422);
    expect((broken.body as { sentence: string }).sentence).to.contain('cannot be read');
    expect((await desk.api.post(at).field({ id: 'pin-two', name: 'x' })).status).to.equal(422);
    expect((await desk.api.get(at)).body).to.deep.equal([]);
    expect((await desk.api.patch(`${at}/pin-none`).send({ pinned: false })).status).to.equal(404);
    expect((await desk.api.get('/api/sheets/no-sheet-here/references/pin-one/picture')).status).to.equal(404);
  });
});
