import { expect } from 'chai';
import { deltaE2000, hueOfWheel, labOfHex, oklchOfLab, turnBetween } from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { CancelledError, quietRun } from '../run/index.ts';
import { type TrayPencil, matchPencils, onPaper } from '../tray/index.ts';
import { SCHEMES, type SheetSummary, familyFor, proposePalettes, schemeById, targetsOf } from './index.ts';

const COLOURS = [
  '#f6f4ee',
  '#f3e7b9',
  '#f5dd55',
  '#eda715',
  '#ec861c',
  '#df6320',
  '#f4b98a',
  '#c22b22',
  '#7a1728',
  '#f2c6c0',
  '#c8386f',
  '#8a4f98',
  '#5b3a86',
  '#cfd0e8',
  '#3a3b86',
  '#22315f',
  '#4f6bb0',
  '#1f4e96',
  '#b5d4ea',
  '#5ba4d6',
  '#2f9a9a',
  '#13595f',
  '#8fcdd0',
  '#78b06a',
  '#2f8c53',
  '#1e5c3e',
  '#c6d25d',
  '#5d6d2a',
  '#e4cfa2',
  '#a67a45',
  '#5e3a26',
  '#3d2a22',
  '#d3cfc6',
  '#71685f',
  '#a9b2ba',
  '#414b57',
];
const pencils = COLOURS.map((hex, i): TrayPencil => ({
  id: `p${i}`,
  code: `P${i}`,
  masstone: labOfHex(hex),
  type: 'wax',
}));
const tray = onPaper(pencils, whiteBook);
const byId = new Map(tray.map((pencil) => [pencil.id, pencil]));

const sheet: SheetSummary = {
  things: [
    { id: 'sky', name: 'Sky', areaMm2: 9000, focus: false, natural: null },
    { id: 'water', name: 'Water', areaMm2: 6000, focus: false, natural: null },
    { id: 'hut', name: 'Hut', areaMm2: 3000, focus: false, natural: null },
    { id: 'lantern', name: 'Lantern', areaMm2: 200, focus: true, natural: null },
    { id: 'reeds', name: 'Reeds', areaMm2: 900, focus: false, natural: labOfHex('#6d8a3c') },
  ],
  borders: [
    { a: 'sky', b: 'water', lengthMm: 180 },
    { a: 'hut', b: 'sky', lengthMm: 120 },
    { a: 'lantern', b: 'sky', lengthMm: 60 },
    { a: 'reeds', b: 'water', lengthMm: 90 },
  ],
};
const wishes = { anchor: 60, scheme: 'complementary' };

describe('matching pencils', () => {
  it('finds the pencil itself when its own laydown is wanted', () => {
    for (const pencil of tray) expect(matchPencils(pencil.body, tray, 1)[0].deltaE).to.be.at.most(0.001);
  });

  it('ranks by colour difference, nearest first', () => {
    const deltas = matchPencils(labOfHex('#8899aa'), tray).map((match) => match.deltaE);
    expect(deltas).to.have.length(tray.length);
    expect(deltas).to.deep.equal([...deltas].sort((a, b) => a - b));
  });

  it('sees that pink is a light red: the tint of a red is near a pale pink', () => {
    const match = matchPencils(tray[7].tint, tray, 1)[0];
    expect(match.deltaE).to.be.below(6);
  });
});

describe('families', () => {
  it('run from dark over mid to light on the paper', () => {
    for (let angle = 0; angle < 360; angle += 30) {
      const { dark, mid, light } = familyFor({ angle, clarity: 'quiet', key: 'middle' }, tray);
      expect(mid[0], `${angle}`).to.be.above(dark[0] + 4);
      expect(light[0], `${angle}`).to.be.above(mid[0] + 4);
    }
  });

  it('keep near the hue that was asked for', () => {
    const { mid } = familyFor({ angle: 240, clarity: 'clear', key: 'middle' }, tray);
    expect(Math.abs(turnBetween(oklchOfLab(mid).h, hueOfWheel(240)))).to.be.below(25);
  });

  it('ask for a yellow that is paler than the violet of the same key', () => {
    const mid = (angle: number) => targetsOf({ angle, clarity: 'clear', key: 'middle' }).mid[0];
    expect(mid(0)).to.be.above(mid(180) + 10);
  });

  it('make do with a single pencil and refuse an empty tray', () => {
    expect(familyFor({ angle: 0, clarity: 'clear', key: 'middle' }, tray.slice(0, 1)).family).to.deep.equal({
      dark: 'p0',
      mid: 'p0',
      light: 'p0',
    });
    expect(() => familyFor({ angle: 0, clarity: 'clear', key: 'middle' }, [])).to.throw(RangeError, 'empty');
  });
});

describe('palettes', () => {
  it('give every thing a family from the tray, and each proposal has another ruling hue', async () => {
    const proposals = await proposePalettes(sheet, tray, wishes);
    expect(new Set(proposals.map((proposal) => proposal.name)).size).to.equal(2);
    for (const { parts, pencils } of proposals) {
      expect(parts.map((part) => part.thingId)).to.deep.equal(sheet.things.map((thing) => thing.id));
      for (const part of parts) for (const id of Object.values(part.family)) expect(byId.has(id)).to.equal(true);
      expect(pencils).to.equal(new Set(parts.flatMap((part) => Object.values(part.family))).size);
    }
  });

  it('keep to the hands of the scheme, but for things that keep their natural colour', async () => {
    const [{ parts }] = await proposePalettes(sheet, tray, wishes);
    for (const part of parts) {
      if (part.thingId === 'reeds') expect(part.angle).to.be.within(290, 359);
      else expect([60, 240]).to.include(part.angle);
    }
  });

  it('part neighbours along most of their borders, as the score says', async () => {
    for (const { parts, scores } of await proposePalettes(sheet, tray, wishes)) {
      const mid = new Map(parts.map((part) => [part.thingId, byId.get(part.family.mid)!.body]));
      const parted = sheet.borders
        .filter(({ a, b }) => deltaE2000(mid.get(a)!, mid.get(b)!) >= 16)
        .reduce((sum, border) => sum + border.lengthMm, 0);
      expect(scores.parting).to.equal(Math.round((100 * parted) / 450));
      expect(scores.parting).to.be.at.least(70);
    }
  });

  it('make the focus clear', async () => {
    const [{ parts }] = await proposePalettes(sheet, tray, wishes);
    expect(parts.find((part) => part.thingId === 'lantern')!.clarity).to.equal('clear');
  });

  it('are the same again with the same seed', async () => {
    expect(await proposePalettes(sheet, tray, { ...wishes, seed: 5 })).to.deep.equal(
      await proposePalettes(sheet, tray, { ...wishes, seed: 5 }),
    );
  });

  it('exist for every scheme', async () => {
    for (const { id, hands } of SCHEMES) {
      const proposals = await proposePalettes(sheet, tray, { anchor: 100, scheme: id });
      expect(proposals, id).to.have.length(Math.min(3, hands.length));
    }
    expect(() => schemeById('chaos')).to.throw(RangeError, 'no scheme');
  });

  it('say what is missing, and stop when told to', async () => {
    const fault = (promise: Promise<unknown>) =>
      promise.then(
        () => null,
        (error: Error) => error,
      );
    expect((await fault(proposePalettes(sheet, [], wishes)))!.message).to.contain('tray is empty');
    expect((await fault(proposePalettes({ things: [], borders: [] }, tray, wishes)))!.message).to.contain(
      'at least one thing',
    );
    expect(await fault(proposePalettes(sheet, tray, wishes, { ...quietRun, cancelled: () => true }))).to.be.instanceOf(
      CancelledError,
    );
  });
});
