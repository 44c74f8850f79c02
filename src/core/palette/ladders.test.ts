import { expect } from 'chai';
import { type Lab, labOfHex, labOfOklch, oklchOfLab, turnBetween } from '../colour/index.ts';
import { whiteBook } from '../laydown/index.ts';
import { type Family, bodyOf } from '../recipe/index.ts';
import { type TrayPencil, onPaper } from '../tray/index.ts';
import { FamilyBook, proposePalettes } from './index.ts';
import { pageThing } from './test/page-thing.ts';
import { NATURAL_KINDS, beyondNature, narrowedBy, naturalKindById } from './natural-kinds/index.ts';
import { ladderTargets, ladderThrough } from './ladders.ts';

/** Trays of about so many pencils, hues all round at several lightnesses, greys and a black among them. */
function trayOf(hues: number, lights: readonly number[]) {
  const clear = lights.flatMap((l) =>
    Array.from({ length: hues }, (_, k): Lab =>
      labOfOklch({ l, c: 0.16 - 0.14 * Math.abs(l - 0.62), h: (360 * k) / hues + 20 }),
    ),
  );
  const greys = [0.2, 0.42, 0.65, 0.88, 0.97].map((l) => labOfOklch({ l, c: 0.012, h: 255 }));
  const browns = ['#3d2a22', '#6a4028', '#a67a45', '#d9b26a'].map(labOfHex);
  const pencils = [...clear, ...greys, ...browns].map((masstone, i): TrayPencil => ({
    id: `p${i}`,
    code: `P${i}`,
    masstone,
    type: 'wax',
  }));
  return onPaper(pencils, whiteBook);
}
const TRAYS = {
  25: trayOf(8, [0.5, 0.78]),
  72: trayOf(16, [0.35, 0.5, 0.7, 0.88]),
  180: trayOf(28, [0.3, 0.42, 0.55, 0.68, 0.8, 0.9]),
};
const thing = (id: string, kind: string, widthMm: number) => pageThing(id, { kind, widthMm, areaMm2: 3000 });

describe('a name that says which', () => {
  it('narrows a kind: a night sky is dark, autumn leaves are not green, a bronze bell is no pink copper', () => {
    const day = labOfOklch({ l: 0.75, c: 0.09, h: 240 });
    const sky = naturalKindById('sky');
    expect(beyondNature(sky, day)).to.equal(0);
    expect(beyondNature(narrowedBy(sky, 'Night sky'), day)).to.be.above(10);
    expect(beyondNature(narrowedBy(sky, 'Sky'), day)).to.equal(0);
    const leaf = narrowedBy(naturalKindById('leaf'), 'Autumn leaves');
    expect(beyondNature(leaf, labOfHex('#3f8a3a'))).to.be.above(8);
    expect(narrowedBy(naturalKindById('copper'), 'Bronze bell').ladders).to.have.length(1);
  });
});

describe('water', () => {
  it('has the colours of the sky above it', async () => {
    const named = (id: string, kind: string, name: string) => ({ ...thing(id, kind, 40), name });
    for (const [name, most] of [
      ['Night sky', 0.58],
      ['Summer sky', 1],
    ] as const) {
      const own = { things: [named('sky', 'sky', name), named('sea', 'water', 'Sea')], borders: [] };
      const [best] = await proposePalettes(
        own,
        TRAYS[180],
        whiteBook,
        { anchor: 60, scheme: 'triad' },
        { moves: 4000 },
      );
      const sea = oklchOfLab(best.parts[1].body);
      expect(sea.l, name).to.be.below(most);
      expect(sea.h, name).to.be.within(155, 305);
    }
  });
});

describe('ladders that change hue', () => {
  it('rise from dark to light, however many pencils climb them', () => {
    for (const { id, ladders = [] } of NATURAL_KINDS) {
      for (const ladder of ladders) {
        for (let count = 1; count <= 8; count++) {
          const values = ladderTargets(ladder, count).map(([l]) => l);
          expect(values, id).to.have.length(count);
          for (let k = 1; k < count; k++) expect(values[k], id).to.be.above(values[k - 1]);
        }
      }
    }
  });

  it('have their middle within what is natural for their kind', () => {
    for (const kind of NATURAL_KINDS) {
      for (const ladder of kind.ladders ?? []) {
        for (const count of [1, 3, 5]) {
          const body = ladderTargets(ladder, count)[Math.floor((count - 1) / 2)];
          expect(beyondNature(kind, body), `${kind.id} ${count}`).to.be.below(3);
        }
      }
    }
  });

  it('of gold run from brown through ochre to a clear yellow: the hue turns to yellow as it grows pale', () => {
    const [ladder] = naturalKindById('gold').ladders!;
    const row = ladderTargets(ladder, 4).map(oklchOfLab);
    for (let k = 1; k < 4; k++) expect(row[k].h).to.be.above(row[k - 1].h - 6);
    expect(turnBetween(row[1].h, row[3].h)).to.be.above(40);
    expect(row[3].c).to.be.above(0.12);
  });

  it('go through a colour that a thing must keep, with the same turn of hue', () => {
    const [ladder] = naturalKindById('gold').ladders!;
    const brass = labOfHex('#a67a45');
    const row = ladderThrough(ladder, brass, 3);
    row[1].forEach((value, k) => expect(value).to.be.closeTo(brass[k], 0.5));
    expect(turnBetween(oklchOfLab(row[0]).h, oklchOfLab(row[2]).h)).to.be.above(25);
  });
});

describe('palettes of what has ladders', () => {
  const things = [
    thing('bell', 'gold', 8),
    thing('pot', 'copper', 8),
    thing('kettle', 'silver', 8),
    thing('flame', 'fire', 6),
    thing('sky', 'sky', 90),
    thing('hut', 'wood', 20),
  ];
  const page = {
    things,
    borders: [
      { a: 'bell', b: 'sky', lengthMm: 60 },
      { a: 'hut', b: 'sky', lengthMm: 90 },
    ],
  };

  for (const [size, tray] of Object.entries(TRAYS)) {
    it(`climb them in a tray of ${size}: metals turn their hue, a sky has more bands than a form has pencils`, async () => {
      const byId = new Map(tray.map((pencil) => [pencil.id, pencil]));
      const [best] = await proposePalettes(
        page,
        tray,
        whiteBook,
        { anchor: 200, scheme: 'analogous' },
        { moves: 6000 },
      );
      const familyIn = (id: string): Family => best.parts.find(({ thingId }) => thingId === id)!.family!;
      const hueOf = (id: string) => oklchOfLab(byId.get(id)!.body).h;
      const gold = familyIn('bell').pencils;
      expect(turnBetween(hueOf(gold[0]), hueOf(gold.at(-1)!)), 'gold turns towards yellow').to.be.above(8);
      for (const { id, kind } of things) {
        const body = byId.get(bodyOf(familyIn(id)))!.body;
        expect(beyondNature(naturalKindById(kind!), body), id).to.be.below(size === '25' ? 22 : 9);
      }
      expect(familyIn('sky').pencils.length).to.equal(Math.min(tray.length, 7));
    });
  }

  it('give a wide family that is pale in its dark a darker neighbour of its own hue', () => {
    const tray = TRAYS[180];
    const book = new FamilyBook(tray, whiteBook);
    const pale = tray
      .map(({ body }, i) => ({ i, lab: body }))
      .filter(({ lab }) => lab[0] > 55 && oklchOfLab(lab).c > 0.05);
    let found = 0;
    for (let k = 0; k + 5 <= pale.length; k += 9) {
      const own = pale.slice(k, k + 5).map(({ i }) => i);
      const family = book.complete(own);
      if (!family.depth) continue;
      found++;
      const [dark, depth] = [book.byId.get(family.pencils[0])!, book.byId.get(family.depth)!];
      expect(depth.body[0]).to.be.below(dark.body[0] - 5);
      if (depth.chroma > 0.035) expect(Math.abs(turnBetween(dark.hue, depth.hue))).to.be.at.most(35);
    }
    expect(found).to.be.above(3);
  });
});
