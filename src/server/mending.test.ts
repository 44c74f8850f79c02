import { expect } from 'chai';
import {
  type Mend,
  type Plan,
  type RegionsMeta,
  type SheetState,
  USUAL_FINDING,
  newThing,
} from '../contracts/index.ts';
import { findRegions } from '../core/lineart/index.ts';
import { gzipSync } from 'node:zlib';
import sharp from 'sharp';
import { emptyDesk, gridPng } from './test/desk.ts';

const SHEET = 'sheet-mended';
const PER_MM = 10;

type Desk = Awaited<ReturnType<typeof emptyDesk>>;

/** A sheet of three cells in a row. */
async function rowOfThree(): Promise<{ desk: Desk; png: Buffer }> {
  const desk = await emptyDesk();
  const png = await gridPng(3, 1);
  await desk.api.post('/api/sheets').field({ id: SHEET, title: 'A row' }).attach('file', png, 'row.png').expect(200);
  return { desk, png };
}

/** What the browser does when the way of finding regions changed: find them anew and send them. */
async function findAnew(
  { api }: Desk,
  png: Buffer,
  mends: readonly Mend[],
): Promise<{ sheet: SheetState; meta: RegionsMeta }> {
  const { data, info } = await sharp(png).greyscale().raw().toBuffer({ resolveWithObject: true });
  const grey = { width: info.width, height: info.height, data: new Uint8Array(data) };
  const { labels, ...found } = await findRegions(grey, { pixelsPerMm: PER_MM, mends });
  const meta = { ...found, from: `mended ${JSON.stringify(mends).length}` };
  const { body } = await api
    .put(`/api/sheets/${SHEET}/regions`)
    .field('meta', JSON.stringify(meta))
    .attach('labels', gzipSync(new Uint8Array(labels.buffer)), 'labels.gz')
    .expect(200);
  return { sheet: body, meta: { ...meta, seen: null } };
}

async function decide({ api }: Desk, change: Partial<Plan>): Promise<SheetState> {
  const { revision } = (await api.get(`/api/sheets/${SHEET}`)).body;
  const command = { id: `command-${revision}`, stage: 'page', label: 'decide', baseRevision: revision, change };
  return (await api.post(`/api/sheets/${SHEET}/commands`).send(command).expect(200)).body;
}

/** Straight down through the middle of the second cell. */
const cut: Mend = {
  kind: 'cut',
  points: [
    { x: 13.2, y: 3.9 },
    { x: 13.2, y: 10.5 },
  ],
};

describe('regions that are mended', () => {
  it('stay in their thing when they are parted, and come back whole when the parting is undone', async () => {
    const { desk, png } = await rowOfThree();
    await findAnew(desk, png, []);
    await decide(desk, {
      things: [
        newThing({ id: 'thing-left', name: 'Left', regionIds: [1] }),
        newThing({ id: 'thing-rest', name: 'Rest', regionIds: [2, 3] }),
      ],
      uses: { '2': 'leave white' },
    });
    const parted = await findAnew(desk, png, [cut]);
    expect(parted.meta.regions).to.have.length(4);
    expect(parted.sheet.plan.things.map(({ name, regionIds }) => [name, regionIds.length])).to.deep.equal([
      ['Left', 1],
      ['Rest', 3],
    ]);
    expect(Object.values(parted.sheet.plan.uses)).to.deep.equal(['leave white', 'leave white']);
    const whole = await findAnew(desk, png, []);
    expect(whole.sheet.plan.things.map(({ regionIds }) => regionIds)).to.deep.equal([[1], [2, 3]]);
    expect(whole.sheet.plan.uses).to.deep.equal({ '2': 'leave white' });
  });

  it('go to the thing of the larger part when they are joined', async () => {
    const { desk, png } = await rowOfThree();
    await findAnew(desk, png, [cut]);
    await decide(desk, {
      things: [
        newThing({ id: 'thing-left', name: 'Left', regionIds: [1] }),
        newThing({ id: 'thing-half', name: 'Half', regionIds: [2] }),
      ],
    });
    const join: Mend = { kind: 'join', a: { x: 7, y: 7 }, b: { x: 11.5, y: 7 } };
    const { sheet, meta } = await findAnew(desk, png, [cut, join]);
    expect(meta.regions).to.have.length(3);
    expect(sheet.plan.things.map(({ name, regionIds }) => [name, regionIds])).to.deep.equal([['Left', [1]]]);
  });

  it('are forgotten by things when they are no regions any more', async () => {
    const { desk, png } = await rowOfThree();
    await findAnew(desk, png, []);
    await decide(desk, { things: [newThing({ id: 'thing-all', name: 'All', regionIds: [1, 2, 3] })] });
    const { sheet, meta } = await findAnew(desk, png, [{ kind: 'drop', at: { x: 7, y: 7 } }]);
    expect(meta.regions).to.have.length(2);
    expect(sheet.plan.things[0].regionIds).to.deep.equal([1, 2]);
  });

  it('carry what undo remembers along', async () => {
    const { desk, png } = await rowOfThree();
    await findAnew(desk, png, []);
    await decide(desk, { things: [newThing({ id: 'thing-b', name: 'B', regionIds: [3] })] });
    await decide(desk, { things: [] });
    await findAnew(desk, png, [cut]);
    const { revision } = (await desk.api.get(`/api/sheets/${SHEET}`)).body;
    const { body } = await desk.api.post(`/api/sheets/${SHEET}/undo`).send({ baseRevision: revision }).expect(200);
    expect(body.plan.things[0].regionIds).to.deep.equal([4]);
  });

  it('are kept in the plan, so that undo takes a mend back', async () => {
    const { desk } = await rowOfThree();
    const mended = await decide(desk, { finding: { ...USUAL_FINDING, mends: [cut] } });
    expect(mended.plan.finding.mends).to.deep.equal([cut]);
    const { body } = await desk.api
      .post(`/api/sheets/${SHEET}/undo`)
      .send({ baseRevision: mended.revision })
      .expect(200);
    expect(body.plan.finding.mends).to.deep.equal([]);
  });

  it('a sheet from before there were mends opens as one without any', async () => {
    const { desk } = await rowOfThree();
    const { body } = await desk.api.get(`/api/sheets/${SHEET}`);
    expect(body.plan).to.deep.include({ finding: USUAL_FINDING, uses: {} });
  });
});
