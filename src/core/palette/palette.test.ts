import { expect } from 'chai';
import { deltaE2000, hueOfWheel, labOfHex, oklchOfLab, turnBetween, wheelById } from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { MOST_PENCILS, bodyOf, familyOf, pencilsFor, pencilsOf } from '../recipe/index.ts';
import { CancelledError, quietRun } from '../run/index.ts';
import { type TrayPencil, matchPencils, onPaper } from '../tray/index.ts';
import {
  FREE_MOOD,
  FamilyBook,
  type PageSummary,
  type PageThing,
  type Proposal,
  SCHEMES,
  type Wishes,
  paletteDifference,
  handsOf,
  plotsFor,
  proposePalettes,
  schemeById,
  targetsOf,
} from './index.ts';
import { pageThing } from './test/page-thing.ts';

const COLOURS =
  '#f6f4ee #f3e7b9 #f5dd55 #eda715 #ec861c #df6320 #f4b98a #c22b22 #7a1728 #f2c6c0 #c8386f #8a4f98 #5b3a86 #cfd0e8 #3a3b86 #22315f #4f6bb0 #1f4e96 #b5d4ea #5ba4d6 #2f9a9a #13595f #8fcdd0 #78b06a #2f8c53 #1e5c3e #c6d25d #5d6d2a #e4cfa2 #a67a45 #5e3a26 #3d2a22 #d3cfc6 #71685f #a9b2ba #414b57'.split(
    ' ',
  );
const pencils = COLOURS.map((hex, i): TrayPencil => ({
  id: `p${i}`,
  code: `P${i}`,
  masstone: labOfHex(hex),
  type: 'wax',
}));
const tray = onPaper(pencils, whiteBook);
const byId = new Map(tray.map((pencil) => [pencil.id, pencil]));
const painters = wheelById('painters');

const thing = (id: string, areaMm2: number, more: Partial<PageThing> = {}) =>
  pageThing(id, { areaMm2, widthMm: 12, ...more });
const page: PageSummary = {
  things: [
    thing('lantern', 200, { focus: true, widthMm: 7, at: { x: 0.3, y: 0.3 } }),
    thing('buoy', 150, { widthMm: 5, at: { x: 0.8, y: 0.7 } }),
    thing('reeds', 900, { natural: labOfHex('#6d8a3c'), at: { x: 0.15, y: 0.8 } }),
    thing('hut', 3000, { at: { x: 0.75, y: 0.45 } }),
    thing('water', 6000, { widthMm: 30, at: { x: 0.5, y: 0.8 } }),
    thing('sky', 9000, { widthMm: 60, at: { x: 0.5, y: 0.2 } }),
  ],
  borders: [
    { a: 'sky', b: 'water', lengthMm: 180 },
    { a: 'hut', b: 'sky', lengthMm: 120 },
    { a: 'lantern', b: 'sky', lengthMm: 60 },
    { a: 'buoy', b: 'water', lengthMm: 40 },
    { a: 'reeds', b: 'water', lengthMm: 90 },
  ],
};
const wishes: Wishes = { anchor: 60, scheme: 'complementary' };
const propose = (more: Partial<Wishes> = {}, own = page, options = {}) =>
  proposePalettes(own, tray, whiteBook, { ...wishes, ...more }, { moves: 8000, ...options });
const pencilsIn = ({ parts }: Proposal) => new Set(parts.flatMap(({ family }) => (family ? pencilsOf(family) : [])));
const partOfThing = ({ parts }: Proposal, id: string) => parts.find(({ thingId }) => thingId === id)!;

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
    expect(matchPencils(tray[7].tint, tray, 1)[0].deltaE).to.be.below(6);
  });
});

describe('schemes', () => {
  it('stand where the craft has them, measured from the anchor', () => {
    expect(handsOf('complementary', 30)).to.deep.equal([30, 210]);
    expect(handsOf('split-complementary', 0)).to.deep.equal([0, 150, 210]);
    expect(handsOf('double-split', 0)).to.deep.equal([330, 30, 150, 210]);
    expect(handsOf('analogous', 0)).to.deep.equal([0, 330, 30]);
    expect(handsOf('analogous-accent', 0)).to.deep.equal([0, 330, 30, 180]);
    expect(handsOf('triad', 10)).to.deep.equal([10, 130, 250]);
    expect(handsOf('square', 0)).to.deep.equal([0, 90, 180, 270]);
    expect(handsOf('one-hue', 77)).to.deep.equal([77]);
  });

  it('free ones take hands of one’s own, five at most', () => {
    expect(handsOf('free', 90, [0, 45])).to.deep.equal([90, 135]);
    expect(() => handsOf('free', 0, [0, 1, 2, 3, 4, 5])).to.throw(RangeError, 'at most 5');
    expect(() => schemeById('chaos')).to.throw(RangeError, 'no scheme');
  });
});

describe('families', () => {
  const book = new FamilyBook(tray, whiteBook);
  const [quiet] = book.nearest({ angle: 240, clarity: 'quiet', key: 'middle' }, painters, 3, 1);

  it('run from dark to light on the paper, with as many pencils as asked', () => {
    for (let count = 1; count <= MOST_PENCILS; count++) {
      for (let angle = 0; angle < 360; angle += 60) {
        const [{ family }] = book.nearest({ angle, clarity: 'quiet', key: 'middle' }, painters, count, 1);
        const values = family.pencils.map((id) => byId.get(id)!.body[0]);
        expect(new Set(family.pencils).size, `${angle}`).to.equal(count);
        expect(values).to.deep.equal([...values].sort((a, b) => a - b));
      }
    }
  });

  it('keep near the hue that was asked for', () => {
    expect(Math.abs(turnBetween(oklchOfLab(quiet.body).h, hueOfWheel(240)))).to.be.below(25);
  });

  it('ask for a yellow that is paler than the violet of the same key', () => {
    const mid = (angle: number) => targetsOf({ angle, clarity: 'clear', key: 'middle' }, painters, 3)[1][0];
    expect(mid(0)).to.be.above(mid(180) + 10);
  });

  it('of violets are unified by a pink or a peach, others by their own lightest', () => {
    const violet = book.complete(['p12', 'p11', 'p13'].map((id) => tray.findIndex((each) => each.id === id)));
    expect(['p9', 'p6']).to.include(violet.blender);
    const yellow = book.complete(['p8', 'p4', 'p2'].map((id) => tray.findIndex((each) => each.id === id)));
    expect(yellow.blender).to.equal(null);
  });

  it('grow with the room: one pencil in a hair, five in a form, up to eight where each is a band of a background', () => {
    expect([0.6, 1.5, 5, 12, 40, 200].map((width) => pencilsFor(width))).to.deep.equal([1, 2, 3, 4, 5, 5]);
    expect([5, 40, 60, 100, 200].map((width) => pencilsFor(width, true))).to.deep.equal([3, 5, 6, 7, 8]);
  });

  it('make do with a single pencil and refuse an empty tray', () => {
    const one = new FamilyBook(tray.slice(0, 1), whiteBook);
    expect(one.nearest({ angle: 0, clarity: 'clear', key: 'middle' }, painters, 5, 1)[0].family).to.deep.equal(
      familyOf(['p0']),
    );
    expect(() => new FamilyBook([], whiteBook)).to.throw(RangeError, 'empty');
  });
});

describe('palettes', () => {
  it('come as four that differ clearly, the best first, each with scores, a reason and what it trades away', async () => {
    const proposals = await propose();
    expect(proposals).to.have.length(4);
    const areas = page.things.map(({ areaMm2 }) => areaMm2);
    const all = areas.reduce((p, q) => p + q);
    const share = areas.map((area) => area / all);
    const bodies = ({ parts }: Proposal) => parts.map(({ body }) => body);
    proposals.forEach((one, i) => {
      for (const other of proposals.slice(0, i))
        expect(paletteDifference(bodies(one), bodies(other), share)).to.be.above(6);
      expect(one.reason)
        .to.contain(`${pencilsIn(one).size} pencils`)
        .and.to.contain('lantern stands');
      expect(one.tradesAway).to.match(/^It (trades away|falls behind)/);
      for (const { score } of one.scores) expect(score).to.be.within(0, 100);
    });
    expect(new Set(proposals.map(({ name }) => name)).size).to.equal(4);
  });

  it('give every thing as many pencils as its width holds', async () => {
    for (const { parts } of await propose()) {
      parts.forEach(({ family, thingId }, i) => {
        expect(thingId).to.equal(page.things[i].id);
        expect(family!.pencils).to.have.length(pencilsFor(page.things[i].widthMm));
      });
    }
  });

  it('keep to the hands of the scheme, but for things that keep their natural colour', async () => {
    for (const { parts } of await propose({ wheel: 'perceptual' })) {
      for (const { thingId, angle } of parts) if (thingId !== 'reeds') expect([60, 240]).to.include(angle);
    }
    const [best] = await propose();
    expect(deltaE2000(partOfThing(best, 'reeds').body, page.things[2].natural!)).to.be.below(9);
  });

  it('part neighbours by more than the families alone would: the sky is not the water', async () => {
    for (const proposal of await propose()) {
      expect(deltaE2000(partOfThing(proposal, 'sky').body, partOfThing(proposal, 'hut').body)).to.be.above(12);
    }
  });

  it('are the same again with the same seed and moves', async () => {
    expect(await propose({}, page, { seed: 5 })).to.deep.equal(await propose({}, page, { seed: 5 }));
  });

  it('exist for every scheme', async () => {
    for (const { id } of SCHEMES) {
      expect((await propose({ scheme: id }, page, { moves: 1000 })).length, id).to.be.at.least(2);
    }
  });

  it('tell of what stands so far while they are worked out, never anything worse later', async () => {
    const told: number[] = [];
    let clock = 0;
    const run = { ...quietRun, now: () => (clock += 3) };
    const least = (of: readonly Proposal[]) => Math.min(...of.map(({ objective }) => objective));
    const found = (of: Proposal[]) => void told.push(least(of));
    const best = await proposePalettes(page, tray, whiteBook, wishes, { moves: 20_000, found }, run);
    expect(told.length).to.be.above(1);
    expect(least(best)).to.be.at.most(told.at(-1)!);
  });

  it('say what is missing, and stop when told to', async () => {
    const fault = (promise: Promise<unknown>) =>
      promise.then(
        () => null,
        (error: Error) => error,
      );
    expect((await fault(proposePalettes(page, [], whiteBook, wishes)))!.message).to.contain('tray is empty');
    expect((await fault(propose({}, { things: [], borders: [] })))!.message).to.contain('at least one thing');
    const stopped = proposePalettes(page, tray, whiteBook, wishes, {}, { ...quietRun, cancelled: () => true });
    expect(await fault(stopped)).to.be.instanceOf(CancelledError);
  });
});

describe('wishes', () => {
  it('for no more than so many pencils are kept', async () => {
    for (const atMost of [10, 4, 1]) {
      for (const proposal of await propose({ atMost })) {
        expect(pencilsIn(proposal).size).to.be.at.most(atMost);
        expect(proposal.unmet.join()).not.to.contain('wished for');
      }
    }
  });

  it('for pencils that must and must not come in are kept', async () => {
    const must = ['p10', 'p26'];
    const mustNot = ['p4', 'p5', 'p16', 'p17'];
    for (const proposal of await propose({ must, mustNot })) {
      const used = pencilsIn(proposal);
      expect(must.every((id) => used.has(id))).to.equal(true);
      expect(mustNot.some((id) => used.has(id))).to.equal(false);
      expect(proposal.unmet).to.deep.equal([]);
    }
    const both = await propose({ must: ['p10'], atMost: 6 });
    for (const proposal of both)
      expect([...pencilsIn(proposal)])
        .to.include('p10')
        .and.to.have.length.at.most(6);
  });

  it('that cannot be met are told as such', async () => {
    const [torn] = await propose({ must: ['p10', 'gone'], mustNot: ['p10'] });
    expect(torn.unmet.join()).to.contain('P10 must and must not').and.to.contain('not here');
    const [crowded] = await propose({ must: ['p1', 'p2', 'p3'], atMost: 2 });
    expect(crowded.unmet.join()).to.contain('3 pencils must come in');
    const greys = onPaper(pencils.slice(32), whiteBook);
    const [grey] = await proposePalettes(page, greys, whiteBook, wishes, { moves: 1000 });
    expect(grey.unmet.join()).to.contain('natural colour of reeds');
  });

  it('for a mood move the page that way', async () => {
    const light = ({ parts }: Proposal) =>
      parts.reduce((sum, { body }, i) => sum + body[0] * page.things[i].areaMm2, 0) / 19_250;
    const [[pale], [deep]] = await Promise.all([1, -1].map((v) => propose({ mood: { ...FREE_MOOD, light: v } })));
    expect(light(pale), 'by more than a step of value').to.be.above(light(deep) + 11);
    const chroma = ({ parts }: Proposal) => parts.reduce((sum, { body }) => sum + oklchOfLab(body).c, 0);
    const [[clear], [dull]] = await Promise.all([1, -1].map((v) => propose({ mood: { ...FREE_MOOD, clear: v } })));
    expect(chroma(clear)).to.be.above(chroma(dull) * 1.3);
  });

  it('for other shares move the area from the ruling hand to the others', async () => {
    const ruling = ({ parts }: Proposal) =>
      parts.reduce((sum, { voice }, i) => sum + (voice === 0 ? page.things[i].areaMm2 : 0), 0) / 19_250;
    const [[much], [little]] = await Promise.all(
      (
        [
          [90, 5, 5],
          [20, 70, 10],
        ] as const
      ).map((shares) => propose({ shares, scheme: 'triad' })),
    );
    expect(ruling(much)).to.be.above(ruling(little) + 0.3);
  });

  it('leave pinned families and what is coloured already as they are, and plan the rest round them', async () => {
    const pinned = { hut: familyOf(['p8', 'p7', 'p6']) };
    const laid = labOfHex('#4f6bb0');
    const begun = { ...page, things: page.things.map((each) => (each.id === 'sky' ? { ...each, laid } : each)) };
    for (const proposal of await propose({ pinned }, begun)) {
      expect(partOfThing(proposal, 'hut').family).to.deep.equal(pinned.hut);
      expect(partOfThing(proposal, 'sky')).to.deep.include({ family: null, body: laid });
      expect(bodyOf(partOfThing(proposal, 'lantern').family!)).to.be.a('string');
    }
  });

  it('leave a pinned family as it is though its pencils must not come in, and use them nowhere else', async () => {
    const pinned = { hut: familyOf(['p8', 'p7', 'p6']) };
    for (const wish of [
      { mustNot: ['p8', 'p7', 'p6'] },
      { only: ['p2', 'p16', 'p20', 'p24', 'p30'] },
      { mustNot: ['p7'], atMost: 6 },
    ]) {
      for (const proposal of await propose({ pinned, ...wish })) {
        expect(partOfThing(proposal, 'hut').family).to.deep.equal(pinned.hut);
        const elsewhere = proposal.parts
          .filter(({ thingId }) => thingId !== 'hut')
          .flatMap(({ family }) => pencilsOf(family!));
        for (const id of elsewhere) {
          if ('mustNot' in wish) expect(wish.mustNot).not.to.include(id);
          if ('only' in wish) expect(wish.only).to.include(id);
        }
        if ('atMost' in wish) expect(pencilsIn(proposal).size).to.be.at.most(6);
      }
    }
  });

  it('for a pencil that no thing is free to take are told', async () => {
    const kept = { ...page, things: page.things.map((each) => ({ ...each, natural: labOfHex('#6d8a3c') })) };
    const [proposal] = await propose({ must: ['p10'] }, kept);
    expect(proposal.unmet.join()).to.contain('P10 must come in but found no place');
  });

  it('that let no pencil in are refused in words', async () => {
    const fault = await propose({ mustNot: tray.map(({ id }) => id), pinned: { hut: familyOf(['p8']) } }).catch(
      (error: Error) => error,
    );
    expect((fault as Error).message).to.contain('wished away');
  });

  it('that settle the ground leave fewer plots, all of them different', () => {
    const says = (mood = FREE_MOOD) => plotsFor([0, 120, 240], painters, mood).map((plot) => plot.says);
    expect(says()).to.have.length(6);
    expect(new Set(says()).size).to.equal(6);
    expect(says({ ...FREE_MOOD, light: 0 })).to.have.length(3);
  });
});
