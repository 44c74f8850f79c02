import { expect } from 'chai';
import { type Mend, type RegionsMeta, type SheetState, type Thing, newThing } from '../contracts/index.ts';
import { type PlanEdit, addMends, frontToBack, sayOfRegions, thingsOf } from '../plan/index.ts';
import { type Desk, SHEET, change, emptyDesk, foundIn, gridPng, sendRegions, stepBack } from './test/desk.ts';

const PER_MM = 10;

/** A sheet of three cells in a row. */
async function rowOfThree(): Promise<{ desk: Desk; png: Buffer }> {
  const desk = await emptyDesk();
  const png = await gridPng(3, 1);
  await desk.api.post('/api/sheets').field({ id: SHEET, title: 'A row' }).attach('file', png, 'row.png').expect(200);
  return { desk, png };
}

/** What the browser does when the way of finding regions changed: find them anew and send them. */
async function findAnew(
  desk: Desk,
  png: Buffer,
  mends: readonly Mend[],
): Promise<{ sheet: SheetState; meta: RegionsMeta }> {
  const found = await foundIn(png, PER_MM, `mended ${JSON.stringify(mends).length}`, { mends });
  const { body } = await sendRegions(desk, found).expect(200);
  return { sheet: body, meta: found.meta };
}

async function decide(desk: Desk, edit: PlanEdit): Promise<SheetState> {
  const { status, body } = await change(desk, edit);
  expect(status).to.equal(200);
  return body;
}

/** Puts things in the place of all that are there. */
function things(...all: Thing[]): PlanEdit {
  return (plan) => Object.assign(plan, { things: frontToBack(all) });
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
    const left = newThing({ id: 'thing-left', name: 'Left', regionIds: [1] });
    await decide(desk, things(left, newThing({ id: 'thing-rest', name: 'Rest', regionIds: [2, 3] })));
    await decide(desk, (plan) => sayOfRegions(plan, [2], { use: 'leave white' }));
    const parted = await findAnew(desk, png, [cut]);
    expect(parted.meta.regions).to.have.length(4);
    expect(thingsOf(parted.sheet.plan).map(({ name, regionIds }) => [name, regionIds.length])).to.deep.equal([
      ['Left', 1],
      ['Rest', 3],
    ]);
    const white = { use: 'leave white' };
    expect(Object.values(parted.sheet.plan.regions)).to.deep.equal([white, white]);
    const whole = await findAnew(desk, png, []);
    expect(thingsOf(whole.sheet.plan).map(({ regionIds }) => regionIds)).to.deep.equal([[1], [2, 3]]);
    expect(whole.sheet.plan.regions).to.deep.equal({ 2: white });
  });

  it('go to the thing of the larger part when they are joined', async () => {
    const { desk, png } = await rowOfThree();
    await findAnew(desk, png, [cut]);
    const left = newThing({ id: 'thing-left', name: 'Left', regionIds: [1] });
    await decide(desk, things(left, newThing({ id: 'thing-half', name: 'Half', regionIds: [2] })));
    const join: Mend = { kind: 'join', a: { x: 7, y: 7 }, b: { x: 11.5, y: 7 } };
    const { sheet, meta } = await findAnew(desk, png, [cut, join]);
    expect(meta.regions).to.have.length(3);
    expect(thingsOf(sheet.plan).map(({ name, regionIds }) => [name, regionIds])).to.deep.equal([['Left', [1]]]);
  });

  it('are kept aside for their things when they are no regions any more, and come back', async () => {
    const { desk, png } = await rowOfThree();
    await findAnew(desk, png, []);
    await decide(desk, things(newThing({ id: 'thing-all', name: 'All', regionIds: [1, 2, 3] })));
    const { sheet, meta } = await findAnew(desk, png, [{ kind: 'drop', at: { x: 7, y: 7 } }]);
    expect(meta.regions).to.have.length(2);
    expect(thingsOf(sheet.plan)[0].regionIds).to.deep.equal([1, 2]);
    expect(sheet.plan.aside.shapes).to.have.length(1);
    expect(sheet.plan.aside.shapes[0]).to.include({ thingId: 'thing-all' });
    const back = (await findAnew(desk, png, [])).sheet.plan;
    expect(thingsOf(back)[0].regionIds).to.deep.equal([1, 2, 3]);
    expect(back.aside.shapes).to.deep.equal([]);
  });

  it('come back whole by one undo of what they were found anew for, and go again by redo', async () => {
    const { desk, png } = await rowOfThree();
    await findAnew(desk, png, []);
    const before = await decide(desk, things(newThing({ id: 'thing-b', name: 'B', regionIds: [2, 3] })));
    await decide(desk, (plan) => addMends(plan, [{ kind: 'drop', at: { x: 7, y: 7 } }]));
    const { sheet, meta } = await findAnew(desk, png, [{ kind: 'drop', at: { x: 7, y: 7 } }]);
    expect(sheet.undo).to.equal('a change');
    const back = await stepBack(desk, 'undo');
    expect(back.plan).to.deep.equal(before.plan);
    const regions = (await desk.api.get(`/api/sheets/${SHEET}/regions`)).body;
    expect(regions.regions).to.have.length(3);
    const again = await stepBack(desk, 'redo');
    expect(again.plan).to.deep.equal(sheet.plan);
    expect((await desk.api.get(`/api/sheets/${SHEET}/regions`)).body.from).to.equal(meta.from);
  });

  it('are kept in the plan, so that undo takes a mend back', async () => {
    const { desk } = await rowOfThree();
    const mended = await decide(desk, (plan) => addMends(plan, [cut]));
    expect(mended.plan.finding.mends).to.deep.equal([cut]);
    const { plan } = await stepBack(desk, 'undo');
    expect(plan.finding.mends).to.deep.equal([]);
  });
});
